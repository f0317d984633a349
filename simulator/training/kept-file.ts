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
  networks: Readonly<Record<string, KeptNetwork>>;
}

/** Writes trained networks beside the code that uses them. Each is one long line of text: nobody reads it. */
export async function writeKept({ file, name, of, networks }: KeptFile): Promise<void> {
  const rows = Object.entries(networks).map(([key, { classes, ...lists }]) => {
    const said = Object.entries(lists).map(([list, text]) => `    ${list}: '${text}',`);
    return [
      `  ${/^\w+$/.test(key) ? key : `'${key}'`}: {`,
      `    classes: ${JSON.stringify(classes).replaceAll('"', "'").replaceAll(',', ', ')},`,
      ...said,
      '  },',
    ].join('\n');
  });
  const lines = [
    `/** Networks as they are kept: ${of}, which writes this file. */`,
    `export const ${name} = {`,
    ...rows,
    '} as const;',
  ];
  const path = join(import.meta.dirname, '..', '..', 'core', file);
  const style = await resolveConfig(path);
  writeFileSync(path, await format(lines.join('\n'), { ...style, filepath: path }));
}
