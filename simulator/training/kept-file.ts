import type { KeptNetwork } from '@wax-fist/core/network';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';

export interface KeptFile {
  /** Within core. */
  file: string;
  name: string;
  /** What it is and what wrote it. */
  of: string;
  /** All of the same classes. */
  networks: Readonly<Record<string, KeptNetwork>>;
}

/** Writes trained networks beside the code that uses them. Each is one long line of text: nobody reads it. */
export async function writeKept({ file, name, of, networks }: KeptFile): Promise<void> {
  const [{ classes }] = Object.values(networks) as [KeptNetwork];
  const rows = Object.entries(networks).map(
    ([key, { classes: _, ...lists }]) => `'${key}': { classes, ${JSON.stringify(lists).slice(1)},`,
  );
  const lines = [
    `const classes = ${JSON.stringify(classes)} as const;`,
    '',
    `/** Networks as they are kept: ${of}, which writes this file. */`,
    `export const ${name} = {`,
    ...rows,
    '} as const;',
  ];
  const path = join(import.meta.dirname, '..', '..', 'core', file);
  const style = await resolveConfig(path);
  writeFileSync(path, await format(lines.join('\n'), { ...style, filepath: path }));
}
