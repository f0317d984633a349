/** One line of a bench: what was measured, what came out, what it should be. */
export interface Line {
  what: string;
  measured: string;
  target: string;
  reached: boolean;
}

/** Figures as they stand in a table; a dash where there is none. */
export const number = (value: number | undefined): string => value?.toFixed(2) ?? '–';
export const percent = (share: number | undefined): string => (share === undefined ? '–' : `${Math.round(share * 100)}%`);

/** Prints a table as it stands in `docs/measures.md`. */
export function printTable(titles: readonly string[], rows: readonly (readonly (string | number)[])[]): void {
  for (const cells of [titles, titles.map(() => '---'), ...rows]) console.log(`| ${cells.join(' | ')} |`);
}

export function print(title: string, lines: readonly Line[]): void {
  const wide = (key: 'what' | 'measured' | 'target'): number => Math.max(key.length, ...lines.map((line) => line[key].length));
  const [what, measured, target] = [wide('what'), wide('measured'), wide('target')];
  console.log(`\n${title}`);
  console.log(`${'what'.padEnd(what)}  ${'measured'.padEnd(measured)}  ${'target'.padEnd(target)}`);
  for (const line of lines) {
    console.log(
      `${line.what.padEnd(what)}  ${line.measured.padEnd(measured)}  ${line.target.padEnd(target)}  ${line.reached ? 'reached' : 'missed'}`,
    );
  }
}
