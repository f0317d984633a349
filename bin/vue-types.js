// Checks the types of the web application, its components among them, with TypeScript's native compiler, which knows no components:
// each is made into a script as its editor sees it, and what the compiler says of the script is told of the component.
import {
  createParsedCommandLine,
  createVueLanguagePlugin,
  forEachEmbeddedCode,
  shouldReportDiagnostics,
  SourceMap,
} from '@vue/language-core';
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const web = join(root, 'web');
const out = join(root, 'dist/vue-types');

const { options, vueOptions } = createParsedCommandLine(ts, ts.sys, join(web, 'tsconfig.pages.json'));
// Helpers are asked of their package: scripts do not lie where components do.
const plugin = createVueLanguagePlugin(ts, options, { ...vueOptions, typesRoot: '@vue/language-core/types' }, (name) => name);

/** A component as a script, and which place of the script comes from which of the component. */
function scriptOf(path, text) {
  const snapshot = ts.ScriptSnapshot.fromString(text);
  const component = plugin.createVirtualCode(path, 'vue', snapshot, { getAssociatedScript: () => undefined });
  const code = [...forEachEmbeddedCode(component)].find(({ id }) => id.startsWith('script_'));
  return { script: code.snapshot.getText(0, code.snapshot.getLength()), places: new SourceMap(code.mappings) };
}

/** What was made of components, by the path that the compiler tells. */
const components = new Map();
rmSync(out, { recursive: true, force: true });
for (const name of readdirSync(web, { recursive: true })) {
  if (!name.endsWith('.vue') || /(^|\/)(dist|node_modules)\//.test(name)) continue;
  const text = readFileSync(join(web, name), 'utf8');
  const { script, places } = scriptOf(join(web, name), text);
  const path = join(out, `${name}.ts`);
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, script);
  components.set(relative(root, path), { name: join('web', name), text, script, places });
}
const project = {
  extends: '../../web/tsconfig.pages.json',
  // Scripts find each other, and what they take from web, as if they lay there.
  compilerOptions: { rootDirs: ['../../web', '.'] },
  include: ['.', '../../web'],
  // The last says of all components that nothing is known of them.
  exclude: ['../../web/**/*.test.ts', '../../web/test', '../../web/dist', '../../web/env.d.ts'],
};
writeFileSync(join(out, 'tsconfig.json'), JSON.stringify(project));

/** A text whose places are told by line and letter. The compiler counts them from 0, and prints them from 1. */
const inLines = (text) => ts.createSourceFile('', text, ts.ScriptTarget.Latest);

/** What is said of a script, as said of its component; undefined of what only the script has. */
function ofComponent({ name, text, script, places }, line, letter, said) {
  const [, code] = /error TS(\d+)/.exec(said) ?? [];
  const offset = inLines(script).getPositionOfLineAndCharacter(line - 1, letter - 1);
  const [place] = places.toSourceLocation(offset, (data) => shouldReportDiagnostics(data, 'ts', code));
  if (!place) return undefined;
  const at = inLines(text).getLineAndCharacterOfPosition(place[0]);
  return `${name}(${at.line + 1},${at.character + 1}): ${said}`;
}

const compiler = join(root, 'node_modules/typescript-native/bin/tsc');
const { stdout, stderr, status } = spawnSync(process.execPath, [compiler, '--noEmit', '--pretty', 'false', '-p', out], {
  cwd: root,
  encoding: 'utf8',
  maxBuffer: 2 ** 28,
});
if (stderr || (status !== 0 && stdout.trim() === '')) throw new Error(`The compiler ended with ${status}: ${stderr}`);
let passedOver = false;
for (const line of stdout.split('\n').filter(Boolean)) {
  const [, path, at, letter, said] = /^([^\s(][^(]*)\((\d+),(\d+)\): (.*)$/.exec(line) ?? [];
  const component = components.get(path);
  const told = component ? ofComponent(component, Number(at), Number(letter), said) : line;
  // What goes on to say why stands set in below, and goes with what it is said of.
  const goesOn = line.startsWith(' ');
  if (!goesOn) passedOver = told === undefined;
  if (passedOver) continue;
  console.log(told);
  process.exitCode = 1;
}
