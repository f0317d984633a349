import { parse } from '@vue/compiler-sfc';
import { leadShares } from '@wax-fist/core/plan';
import { roundKinds } from '@wax-fist/core/rounds';
import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import ts from 'typescript';

const web = join(import.meta.dirname, '..');
const tree = readdirSync(web, { recursive: true, encoding: 'utf8' }).filter(
  (file) => /\.(vue|ts)$/.test(file) && !/^(dist|test)\/|\.test\.ts$|\.config\.ts$/.test(file),
);
const read = (file: string): string => readFileSync(join(web, file), 'utf8');
/** Where texts stand: the words of a feature, and tables beside them. */
const holdsWords = (file: string): boolean => /(^|\/)(words|[\w-]+-(words|names|keys|name))\.ts$/.test(file);
/** What is no text though it looks like one: names of fonts and keys, a selector, code. */
const noText = ['app/fonts-ready.ts', 'app/take-focus.ts', 'offline/precached.ts', 'offline/service-worker.ts'];
const names =
  /^(Escape|Enter|Tab|Backspace|Delete|Home|End|Shift|Control|Alt|Meta|Arrow\w*|Content-Type|Wax Fist|Saira Semi Condensed|yyyy-MM-dd HH\.mm|bin\/.*)$/;
/** Members of closed lists, by which the core tells one thing from another. */
const members = new Set<string>([...roundKinds, ...leadShares, 'in turn', 'as planned', 'left out', 'other lead']);

/** A sentence, several words of one, or a word that begins as one. */
const isProse = (text: string): boolean =>
  !names.test(text) &&
  !members.has(text) &&
  !/^[\w-]+\/|^[.#]|^M[\d ]/.test(text) &&
  (/[a-z’”][,:;.!?]? [“(]?[A-Za-z]/.test(text) || /^[A-Z][a-z]+([ …:.?!]|$)/.test(text));

/** Texts in code. @param shown what it comes to is shown as it is: a word that is chosen there is a text, too */
function proseIn(code: string, shown = false): string[] {
  const found: string[] = [];
  const walk = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node) || ts.isTaggedTemplateExpression(node)) return;
    // Parts of names of points, as in “leftShoulder”.
    const part = ts.isArrayLiteralExpression(node.parent) && ts.isAsExpression(node.parent.parent) && ts.isStringLiteral(node);
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      const chosen =
        shown && ts.isConditionalExpression(node.parent) && node !== node.parent.condition && /^[a-z]{2,}$/.test(node.text);
      if (chosen) found.push(node.text);
      if (isProse(node.text) && !(part && !node.text.includes(' '))) found.push(node.text);
    } else if (ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node)) {
      if (/[a-z]{2,} [a-z]{2,}/.test(node.text)) found.push(node.text);
    }
    ts.forEachChild(node, walk);
  };
  ts.forEachChild(ts.createSourceFile('x.ts', code, ts.ScriptTarget.Latest, true), walk);
  return found;
}

/** What the compiler of Vue makes of a template, as far as it matters here. */
interface Node {
  type: number;
  tag?: string;
  content?: string | Node;
  children?: Node[];
  props?: { type: number; name: string; value?: { content: string }; exp?: { content: string }; arg?: { content: string } }[];
}
const [element, text, hole, attribute] = [1, 2, 5, 6];
const isSaid = /^(aria-label|title|label|placeholder|alt|hint|aria-valuetext)$/;
const ofLooks = /^(class|style|id|type|role|name|to|href|src|rel|d|viewBox|transform)$/;

const everyNode = (node: Node): Node[] => [node, ...(node.children ?? []).flatMap(everyNode)];
const nodesOf = (file: string): Node[] => {
  const ast = parse(read(file)).descriptor.template?.ast as Node | undefined;
  return ast ? everyNode(ast) : [];
};

function proseOf(file: string): string[] {
  if (!file.endsWith('.vue')) return proseIn(read(file));
  const { script, scriptSetup } = parse(read(file)).descriptor;
  const inTemplate = nodesOf(file).flatMap((node): string[] => {
    if (node.type === text && typeof node.content === 'string') {
      const said = node.content.trim();
      return /[A-Za-z]{2}/.test(said) && !names.test(said) ? [said] : [];
    }
    if (node.type === hole) return proseIn(`(${(node.content as Node).content as string})`, true);
    if (node.type !== element) return [];
    return (node.props ?? []).flatMap((one) => {
      if (one.type === attribute)
        return one.value && !ofLooks.test(one.name) && isProse(one.value.content) ? [one.value.content] : [];
      return one.exp && !ofLooks.test(one.arg?.content ?? '') && one.name !== 'for'
        ? proseIn(`(${one.exp.content})`, isSaid.test(one.arg?.content ?? ''))
        : [];
    });
  });
  return [...proseIn(`${script?.content ?? ''}\n${scriptSetup?.content ?? ''}`), ...inTemplate];
}

type Said = string | ((...told: unknown[]) => string);
const wordFiles = tree.filter((file) => /(^|\/)words\.ts$/.test(file));
const wordsIn = async (file: string): Promise<Record<string, Said>> =>
  Object.values((await import(join(web, file))) as Record<string, Record<string, Said>>)[0]!;

describe('what stands on the screen', () => {
  it('tells texts from what is none', () => {
    const code = "notice.say('It is back.'); go('frame-on'); if (kind === 'heavy bag') say(`${name} was kept`); watch(`a${b}`);";
    expect(proseIn(code)).to.deep.equal(['It is back.', ' was kept']);
    expect(['Save', 'no rest', 'Enter', 'text-error', '/sessions'].filter(isProse)).to.deep.equal(['Save', 'no rest']);
  });

  it('stands by feature in one place, so that a language can be added', () => {
    const elsewhere = tree
      .filter((file) => !holdsWords(file) && !noText.includes(file))
      .flatMap((file) => proseOf(file).map((said) => `${file}: ${said}`));
    expect(elsewhere).to.deep.equal([]);
  });

  it('is all used', async () => {
    for (const file of wordFiles) {
      const beside = tree.filter((one) => one.startsWith(`${dirname(file)}/`) && one !== file).map(read);
      const used = new Set(beside.flatMap((one) => [...one.matchAll(/\bwords\.(\w+)/g)].map(([, key]) => key)));
      const unused = Object.keys(await wordsIn(file)).filter((key) => !used.has(key));
      expect(unused, file).to.deep.equal([]);
    }
  });

  it('has a slot for each part that looks otherwise, and no other', async () => {
    let seen = 0;
    for (const file of tree.filter((one) => one.endsWith('.vue') && read(one).includes('<TextWith '))) {
      const from = /import \{ \w+ as words \} from '(.+)'/.exec(read(file))![1]!;
      const words = await wordsIn(join(dirname(file), from));
      for (const { props, children } of nodesOf(file).filter(({ tag }) => tag === 'TextWith')) {
        const keys = [...props!.find(({ arg }) => arg?.content === 'text')!.exp!.content.matchAll(/words\.(\w+)/g)];
        const said = words[keys[0]![1]!]!;
        const whole = typeof said === 'string' ? said : said(...Array.from({ length: said.length }, () => 1));
        const slots = children!.flatMap((child) => child.props?.find(({ name }) => name === 'slot')?.arg?.content ?? []);
        expect(slots, `${file}: ${whole}`).to.have.members([...whole.matchAll(/\{(\w+)\}/g)].map(([, name]) => name));
        seen++;
      }
    }
    expect(seen).to.be.greaterThan(30);
  });
});
