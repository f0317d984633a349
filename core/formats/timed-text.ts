import type { Ms } from '../units.ts';

/** Something that is said of a piece of a film. */
export interface Cue {
  /** Without line breaks, and the same each time it is written. */
  id: string;
  from: Ms;
  to: Ms;
  lines: readonly string[];
}

/** Both kinds of timed text tell hours, minutes, seconds and thousandths, with another sign before the thousandths. */
function clock(time: Ms, point: '.' | ','): string {
  const all = Math.max(0, Math.round(time));
  const two = (value: number): string => String(value).padStart(2, '0');
  const [hours, minutes, seconds] = [Math.floor(all / 3_600_000), Math.floor(all / 60_000) % 60, Math.floor(all / 1000) % 60];
  return `${two(hours)}:${two(minutes)}:${two(seconds)}${point}${String(all % 1000).padStart(3, '0')}`;
}
/** A cue that lasts no time at all is none: players leave it out. */
const shortest: Ms = 1;
const span = ({ from, to }: Cue, point: '.' | ','): string =>
  `${clock(from, point)} --> ${clock(Math.max(to, from + shortest), point)}`;

/** A line break would end a cue, and an arrow begin another one. */
const oneLine = (text: string): string => text.replace(/\s+/g, ' ').replaceAll('-->', '→').trim();
const escaped = (text: string): string => oneLine(text).replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
const linesOf = (cue: Cue, written: (line: string) => string): string[] => cue.lines.map(written).filter(Boolean);
/** As a player orders them: of two that begin at once the longer one first. */
const inOrder = (cues: readonly Cue[]): Cue[] => [...cues].sort((a, b) => a.from - b.from || b.to - a.to);

/**
 * WebVTT (W3C Candidate Recommendation, 2019): for any player that shows text beside a film, and for chapters.
 * @param title a note at its head
 */
export function webVtt(cues: readonly Cue[], title = ''): string {
  const head = `WEBVTT${title ? ` ${oneLine(title)}` : ''}`;
  const blocks = inOrder(cues).map((cue) => [oneLine(cue.id), span(cue, '.'), ...linesOf(cue, escaped)].join('\n'));
  return `${[head, ...blocks].join('\n\n')}\n`;
}

/** SubRip: the same for players that know nothing newer. Cues are numbered from 1. */
export function subRip(cues: readonly Cue[]): string {
  return inOrder(cues)
    .map((cue, place) => `${[place + 1, span(cue, ','), ...linesOf(cue, oneLine)].join('\n')}\n\n`)
    .join('');
}
