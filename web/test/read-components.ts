import { GlobalRegistrator } from '@happy-dom/global-registrator';
import { compileScript, parse, registerTS } from '@vue/compiler-sfc';
import { transformSync } from 'esbuild';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import Module from 'node:module';
import typescript from 'typescript';

/**
 * Lets Node.js read components, for tests that mount one without a browser: loaded before any test, since Vue asks for a document
 * as soon as it is loaded. What a component looks like is tested in the browser; styles are left out here.
 */
GlobalRegistrator.register({ url: 'http://127.0.0.1/' });
// Dialogs and lists are placed by it; a page without a screen has none.
Object.assign(globalThis, { visualViewport: Object.assign(new EventTarget(), { width: 1280, height: 800, scale: 1 }) });
registerTS(() => typescript);

type Compile = (module: { _compile: (code: string, file: string) => void }, file: string) => void;
const extensions = (Module as unknown as { _extensions: Record<string, Compile> })._extensions;

extensions['.css'] = () => undefined;
/** Its pictures are found by the build, so it stays empty here. */
const leftToTheBrowser = 'ReferencePair.vue';

extensions['.vue'] = (module, file) => {
  if (file.endsWith(leftToTheBrowser)) return module._compile('exports.default = { render: () => null };', file);
  const { descriptor, errors } = parse(readFileSync(file, 'utf8'), { filename: file });
  if (errors.length > 0) throw errors[0] as Error;
  const id = createHash('sha256').update(file).digest('hex').slice(0, 8);
  const { content } = compileScript(descriptor, { id, inlineTemplate: true });
  module._compile(transformSync(content, { loader: 'ts', format: 'cjs', target: 'node20', sourcefile: file }).code, file);
};
