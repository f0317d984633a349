import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const web = join(import.meta.dirname, '..');
const tokens = readFileSync(join(web, 'app', 'tokens.css'), 'utf8');

interface Component {
  file: string;
  /** All that comes before its style. */
  body: string;
  style: string;
}

/** A component with a style of its own, as oxfmt leaves it: one declaration a line. */
function withStyle(file: string): Component[] {
  const whole = readFileSync(join(web, file), 'utf8');
  const at = whole.indexOf('<style');
  return at < 0 ? [] : [{ file, body: whole.slice(0, at), style: whole.slice(at).replace(/\/\*[^]*?\*\//g, '') }];
}

const components = readdirSync(web, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.vue') && !file.startsWith('dist'))
  .flatMap(withStyle);

const everywhere = (find: (component: Component) => string[]) =>
  components.flatMap((component) => find(component).map((what) => `${component.file}: ${what}`));

const declarations = (style: string) =>
  [...style.matchAll(/^\s+([\w-]+): ([^{;]+);$/gm)].map(([, of = '', value = '']) => ({ of, value }));

describe('how components look', () => {
  it('reads what there is', () => {
    expect(components.length).to.be.greaterThan(150);
    expect(declarations('.a {\n  gap: 8px 2px;\n}')).to.deep.equal([{ of: 'gap', value: '8px 2px' }]);
  });

  it('takes colours from one place', () => {
    const own = everywhere(({ style }) =>
      declarations(style).flatMap(({ of, value }) =>
        /#[0-9a-f]{3,8}\b|\b(rgba?|hsla?)\((?!var)/i.test(value) ? [`${of}: ${value}`] : [],
      ),
    );
    expect(own).to.deep.equal([]);
  });

  it('takes distances and sizes of type from one scale', () => {
    // A hair line, what is larger than the scale, and letters in a drawing of its own units are sizes of the thing itself.
    const ofItself = (px: number, of: string) => px <= 1 || px > 32 || (of === 'font-size' && px <= 10);
    const own = everywhere(({ style }) =>
      declarations(style)
        .filter(({ of }) => /^((row-|column-)?gap|padding|margin|font-size)/.test(of))
        .flatMap(({ of, value }) =>
          value.split(/\s+/).some((part) => /^\d+px$/.test(part) && !ofItself(parseInt(part), of)) ? [`${of}: ${value}`] : [],
        ),
    );
    expect(own).to.deep.equal([]);
  });

  it('names no token that there is not', () => {
    const known = (name: string, { body, style }: Component) =>
      name.startsWith('--v-') || tokens.includes(`${name}:`) || body.includes(name) || style.includes(`${name}:`);
    const unknown = everywhere((component) =>
      [...component.style.matchAll(/var\((--[\w-]+)\)/g)].flatMap(([, name = '']) => (known(name, component) ? [] : [name])),
    );
    expect(unknown).to.deep.equal([]);
  });

  it('has every token used somewhere', () => {
    const sources = readdirSync(web, { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.(vue|ts|css)$/.test(file) && !file.startsWith('dist') && file !== join('app', 'tokens.css'))
      .map((file) => readFileSync(join(web, file), 'utf8'))
      .join('\n');
    const names = [...new Set([...tokens.matchAll(/^\s+(--[\w-]+):/gm)].map(([, name = '']) => name))];
    expect(names.length).to.be.greaterThan(40);
    expect(names.filter((name) => !new RegExp(`${name}\\b(?!-)`).test(sources))).to.deep.equal([]);
  });
});
