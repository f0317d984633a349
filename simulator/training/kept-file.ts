import type { KeptNetwork } from '@wax-fist/core/network';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, type FormatConfig } from 'oxfmt';

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
  const root = join(import.meta.dirname, '..', '..');
  const { printWidth, singleQuote } = JSON.parse(readFileSync(join(root, '.oxfmtrc.json'), 'utf8')) as FormatConfig;
  const { code } = await format(file, lines.join('\n'), { printWidth, singleQuote });
  writeFileSync(join(root, 'core', file), code);
}
