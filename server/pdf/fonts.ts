import { openSync, type Font } from 'fontkit';
import { createRequire } from 'node:module';

/** Thin or fat. */
export type Weight = 'plain' | 'bold';

const place = createRequire(import.meta.url);
const atkinson = (part: string, weight: number): string =>
  place.resolve(`@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${part}-${weight}-normal.woff`);
const dejaVu = (name: string): string => place.resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`);

/** For each weight the fonts that are asked for a letter, in order: ours, its further Latin letters, and one with other alphabets. */
const files: Readonly<Record<Weight, () => string[]>> = {
  plain: () => [atkinson('latin', 400), atkinson('latin-ext', 400), dejaVu('DejaVuSans')],
  bold: () => [atkinson('latin', 700), atkinson('latin-ext', 700), dejaVu('DejaVuSans-Bold')],
};
const opened = new Map<Weight, { path: string; font: Font }[]>();
const fontsOf = (weight: Weight): { path: string; font: Font }[] => {
  const known = opened.get(weight) ?? files[weight]().map((path) => ({ path, font: openSync(path) as Font }));
  opened.set(weight, known);
  return known;
};

/** The file of a weight’s first font. */
export const mainFont = (weight: Weight): string => fontsOf(weight)[0]!.path;

/** A piece of a text that one font has all letters of. */
export interface Run {
  text: string;
  font: string;
}

/** A text in pieces, each with the first font that has its letters; what no font has is a box of the last one. */
export function runsOf(text: string, weight: Weight): Run[] {
  const fonts = fontsOf(weight);
  const runs: Run[] = [];
  for (const letter of text) {
    const { path } = fonts.find(({ font }) => font.hasGlyphForCodePoint(letter.codePointAt(0)!)) ?? fonts.at(-1)!;
    const last = runs.at(-1);
    if (last?.font === path) last.text += letter;
    else runs.push({ text: letter, font: path });
  }
  return runs;
}
