import { verdictNamed, timeNamed, type ReadElsewhere } from './said-elsewhere.ts';

const timing = /^((?:\d+:)?\d{1,2}:\d{2}[.,]\d{1,3})\s+-->\s+((?:\d+:)?\d{1,2}:\d{2}[.,]\d{1,3})/;
const unescaped = (text: string): string =>
  text
    .replaceAll(/<[^>]*>/g, '')
    .replaceAll('&lt;', '<')
    .replaceAll('&gt;', '>')
    .replaceAll('&amp;', '&');

/**
 * Reads strikes out of timed text (WebVTT or SubRip): a cue is a strike from launch to home, its first line what was thrown, each other
 * line a checkpoint with its verdict and perhaps a note, “Return line: fault, late”. When it lands is not told.
 */
export function saidInTimedText(text: string): ReadElsewhere {
  const read: ReadElsewhere = { said: [], problems: [] };
  const blocks = text
    .replace(/^\uFEFF/, '')
    .split(/\r?\n\s*\r?\n/)
    .map((block) => block.split(/\r?\n/).filter((line) => line.trim() !== ''));
  let place = 0;
  for (const lines of blocks) {
    const at = lines.findIndex((line) => line.includes('-->'));
    if (at < 0) continue;
    place++;
    const [, from, to] = timing.exec(lines[at]!.trim()) ?? [];
    const [launch, home] = [from, to].map((time) => (time === undefined ? undefined : timeNamed(time, 'seconds')));
    const [technique, ...rest] = lines.slice(at + 1).map((line) => unescaped(line).trim());
    if (launch === undefined || home === undefined || home < launch) {
      read.problems.push({ place, says: 'Its times cannot be read.' });
      continue;
    }
    if (!technique) {
      read.problems.push({ place, says: 'It does not tell what was thrown.' });
      continue;
    }
    const strike = { place, technique, contact: undefined, launch, home };
    const words = rest.flatMap((line) => {
      const [, checkpoint, word = '', note] = /^(.*?):\s*([^,]+)(?:,\s*(.*))?$/.exec(line) ?? [];
      const verdict = verdictNamed(word);
      if (checkpoint === undefined || verdict === undefined) {
        read.problems.push({ place, says: `“${line}” is no checkpoint with a verdict.` });
        return [];
      }
      return [{ ...strike, checkpoint, verdict, note: note || undefined }];
    });
    if (words.length > 0) read.said.push(...words);
    else read.said.push({ ...strike, checkpoint: undefined, verdict: undefined, note: undefined });
  }
  return read;
}
