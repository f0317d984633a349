import type { Verdict } from '../review/index.ts';
import type { Ms } from '../units.ts';

/** A strike, or one word about it, as a file made elsewhere tells it. */
export interface SaidElsewhere {
  /** The row, cue or annotation that says so, from 1. */
  place: number;
  /** In whatever words. */
  technique: string;
  /** When it lands, from the first frame; without it launch and home are told, and it lands in its usual place between them. */
  contact: Ms | undefined;
  launch: Ms | undefined;
  home: Ms | undefined;
  checkpoint: string | undefined;
  verdict: Verdict | undefined;
  note: string | undefined;
}

/** A place in a file that could not be read, and why. */
export interface Unreadable {
  place: number;
  says: string;
}

/** What a file says. */
export interface ReadElsewhere {
  said: SaidElsewhere[];
  problems: Unreadable[];
}

const words: Readonly<Record<string, Verdict>> = {
  ...{ clean: 'clean', ok: 'clean', good: 'clean', yes: 'clean', pass: 'clean' },
  ...{ watch: 'watch', maybe: 'watch', unsure: 'watch', partly: 'watch' },
  ...{ fault: 'fault', bad: 'fault', no: 'fault', wrong: 'fault', fail: 'fault' },
  ...{ 'cant see': 'cant-see', 'can t see': 'cant-see', 'not seen': 'cant-see', hidden: 'cant-see' },
};
/** A verdict in whatever words; undefined when it is none. */
export const verdictNamed = (text: string): Verdict | undefined =>
  words[
    text
      .toLowerCase()
      .replaceAll(/[^a-z]+/g, ' ')
      .trim()
  ];

/** A time: “1:02:03.4”, “2:03.4”, “123.4” in seconds, or in milliseconds; undefined when it is none. */
export function timeNamed(text: string, unit: 'seconds' | 'milliseconds'): Ms | undefined {
  const plain = text.trim().replace(',', '.');
  const clock = /^(?:(\d+):)?(\d{1,2}):(\d{1,2}(?:\.\d+)?)$/.exec(plain);
  if (clock) return (Number(clock[1] ?? 0) * 3600 + Number(clock[2]) * 60 + Number(clock[3])) * 1000;
  return /^\d+(\.\d+)?$/.test(plain) ? Number(plain) * (unit === 'seconds' ? 1000 : 1) : undefined;
}
