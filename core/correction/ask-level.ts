import { median, sum } from 'd3-array';
import { dayAfter, daysBetween } from '../days.ts';
import { seen, type Tally } from '../review/index.ts';
import type { Ratio } from '../units.ts';
import { changeOf, isSettled, worthwhile, type Change } from './change.ts';
import { levelOver, type Asked, type ClubSpread, type Level, type LevelAnswer, type Look } from './level/index.ts';
import { usualTarget } from './ladder.ts';
import { openingOf, tellingLooks, type SessionLook } from './series.ts';

/** What would settle a question: so many more sessions of so many strikes. */
export interface Settling {
  sessions: number;
  strikes: number;
}

/** What a series says of its question. */
export interface Answer {
  /** The session against which the last one is held; undefined when it is the only one. */
  since: { sessionId: string; heldOn: string } | undefined;
  /** Undefined when there is nothing to hold the last session against. */
  change: Change | undefined;
  /** Probability that the level fell since then by as much as is worth a word, and that it rose. */
  fell: Ratio;
  rose: Ratio;
  /** Probability that it is at or below the aim now. */
  atAim: Ratio;
  /** At each session, from all of them. */
  levels: (Level & { sessionId: string; heldOn: string; tally: Tally })[];
  /** Of a correction; undefined when it is settled, and when not even many sessions would. */
  settling: Settling | undefined;
  /** In how many weeks it is likely at the aim, if it is on a way there. */
  weeksToAim: number | undefined;
}

export interface Question {
  /** Day on which a correction was opened; without one the last twelve weeks are asked about. */
  openedOn?: string;
  aim?: Ratio;
}

/** What is said of one thing at one rung after the last of some looks. @param looks oldest first, at least one @throws RangeError without one */
export function askLevel(looks: readonly SessionLook[], club: ClubSpread, { openedOn, aim = usualTarget }: Question): Answer {
  if (looks.length === 0) throw new RangeError('There is no look to ask.');
  const told = tellingLooks(looks, openingOf(looks, openedOn));
  const asked = { opening: told.opening, aim, worthwhile, worked: openedOn !== undefined };
  const answer = levelOver(told.looks, club, asked);
  const only = told.opening === told.looks.length - 1;
  const { sessionId, heldOn } = told.looks[told.opening]!;
  const tallies = told.looks.map(({ tally }) => tally);
  return {
    since: only ? undefined : { sessionId, heldOn },
    change: only ? undefined : changeOf(answer, tallies.slice(0, told.opening + 1), tallies.slice(told.opening + 1)),
    fell: answer.fell,
    rose: answer.rose,
    atAim: answer.atAim,
    levels: answer.smoothed.map((level, place) => ({ ...told.looks[place]!, ...level })),
    // What nobody works on nobody has to settle.
    settling: openedOn === undefined || only || isSettled(answer) ? undefined : settlingOf(told.looks, club, asked, answer),
    weeksToAim: answer.weeksToAim,
  };
}

/** So many more sessions are tried; nobody films more to settle something. */
const tried: readonly number[] = [1, 2, 3, 4, 6];
/** Fewer strikes than this are no session. */
const fewStrikes = 12;
const usualGap = 7;

/** How many sessions like those before, at the level of now, would settle a question. */
function settlingOf(looks: readonly Look[], club: ClubSpread, asked: Asked, { smoothed }: LevelAnswer): Settling | undefined {
  const strikes = Math.max(fewStrikes, Math.round(median(looks, ({ tally }) => seen(tally))!));
  const gap = Math.max(1, median(looks.slice(1), ({ heldOn }, place) => daysBetween(looks[place]!.heldOn, heldOn)) ?? usualGap);
  const { level } = smoothed.at(-1)!;
  // Watches as often as there were: they make a rate better known.
  const watches = sum(looks, ({ tally }) => tally.watch) / sum(looks, ({ tally }) => seen(tally));
  const watch = Math.min(watches, 2 * level, 2 * (1 - level)) * strikes;
  const fault = level * strikes - watch / 2;
  const tally = { fault, watch, clean: strikes - watch - fault, cantSee: 0 };
  const thought = Array.from({ length: Math.max(...tried) }, (_, place) => ({
    heldOn: dayAfter(looks.at(-1)!.heldOn, gap * (place + 1)),
    tally,
  }));
  const sessions = tried.find((count) => isSettled(levelOver([...looks, ...thought.slice(0, count)], club, asked)));
  return sessions === undefined ? undefined : { sessions, strikes };
}
