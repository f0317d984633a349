// Bundles what is started again and again: each process loads a few files instead of translating a thousand.
import { build } from 'esbuild';
import { readdir, readFile, rm, utimes, writeFile } from 'node:fs/promises';
import { basename, dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const out = join(root, 'dist');
/** Programs, and what runs in their threads. */
const entries = {
  server: 'server/main.ts',
  worker: 'server/jobs/worker.ts',
  demo: 'server/demo/main.ts',
  'heavy-work': 'server/jobs/heavy-work.ts',
  'pose-work': 'server/pose/pose-work.ts',
  wax: 'cli/wax.ts',
};
const beside = (path) => relative(out, path);

/** Libraries stay where npm put them, of whichever of our packages asks. */
const librariesStay = {
  name: 'libraries stay',
  setup(building) {
    building.onResolve({ filter: /^[^./]/ }, async ({ path, importer, resolveDir, kind, pluginData }) => {
      if (pluginData === 'ours' || kind === 'entry-point' || path.startsWith('node:') || path.startsWith('@wax-fist/'))
        return undefined;
      const found = await building.resolve(path, { importer, resolveDir, kind, pluginData: 'ours' });
      if (found.external || found.errors.length > 0) return found;
      return { path: `./${beside(found.path)}`, external: true };
    });
  },
};

/** Whoever asks where it lies is told where its source does, from which it finds fonts, migrations and films; threads are bundled as well. */
const placesStay = {
  name: 'places stay',
  setup(building) {
    building.onLoad({ filter: /\.ts$/ }, async ({ path }) => {
      const source = await readFile(path, 'utf8');
      if (!source.includes('import.meta')) return undefined;
      const contents = source
        .replace(/new URL\('([\w-]+)-thread\.js', import\.meta\.url\)/g, "new URL('$1-work.js', import.meta.url)")
        .replaceAll(/(?<!-work\.js', )import\.meta\.url/g, `new URL('${beside(path)}', import.meta.url).href`)
        .replaceAll('import.meta.dirname', `(import.meta.dirname + '/${beside(dirname(path))}')`);
      return { contents, loader: 'ts' };
    });
  },
};

const begun = new Date();
const { metafile } = await build({
  entryPoints: Object.entries(entries).map(([name, source]) => ({ in: join(root, source), out: name })),
  outdir: out,
  bundle: true,
  splitting: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  sourcemap: true,
  metafile: true,
  plugins: [librariesStay, placesStay],
  logLevel: 'warning',
});

// What an earlier version was made of is not needed any more.
const made = new Set(Object.keys(metafile.outputs).map((file) => basename(file)));
for (const file of await readdir(out)) if (/\.js(\.map)?$/.test(file) && !made.has(file)) await rm(join(out, file));
// Of this very moment: whatever changes from its beginning on is newer.
const stamp = join(out, '.built');
await writeFile(stamp, '');
await utimes(stamp, begun, begun);
