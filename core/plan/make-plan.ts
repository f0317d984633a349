import type { Seconds } from '../units.ts';
import { clockTime, counted } from '../words/index.ts';
import { candidatesFor, type Candidate, type LeftOut } from './candidates.ts';
import { impactRounds, learning, partLength, partsLength, partStarts, type PlanPart } from './part.ts';
import { restsFirst } from '../drills/index.ts';
import { rulesFor, type FloorRules } from './rules.ts';
import type { PlanWish } from './wish.ts';

/** A session, part by part, with what is not in it. */
export interface MadePlan {
  parts: PlanPart[];
  leftOut: LeftOut[];
  /** Between two parts. */
  change: Seconds;
}

/** A way to fill a session: so many rounds of each candidate. */
type Rounds = readonly number[];
/** Nothing new begins after this share of a session. */
export const lastThird = 2 / 3;

interface Search {
  list: readonly Candidate[];
  rules: FloorRules;
  length: Seconds;
  impact: number;
  /** Whether the week, and not a rule, leaves it so few. */
  shared: boolean;
}

const withRounds = ({ part }: Candidate, rounds: number): PlanPart => ({ ...part, rounds });
const partsWith = (list: readonly Candidate[], rounds: Rounds): PlanPart[] =>
  list.flatMap((one, place) => (rounds[place]! > 0 ? [withRounds(one, rounds[place]!)] : []));

/** Whether something new would begin when nobody learns any more. */
export function beginsTooLate(parts: readonly PlanPart[], change: Seconds): PlanPart[] {
  const until = partsLength(parts, change) * lastThird;
  const starts = partStarts(parts, change);
  return parts.filter(({ kind }, place) => learning.includes(kind) && starts[place]! > until);
}

/**
 * The most valuable way to fill a session that keeps every rule: branch and bound over the rounds of each candidate. What is left to
 * be had without any rule bounds each branch; with some ten candidates of up to three rounds it is exact.
 * @returns undefined when not even what has to be there fits
 */
function best({ list, rules, length, impact }: Omit<Search, 'shared'>): Rounds | undefined {
  const sums = list.map(({ worth }) => worth.map((_, place) => worth.slice(0, place + 1).reduce((sum, value) => sum + value, 0)));
  const most = list.map((_, place) => sums[place]!.at(-1)!);
  /** The most that everything from a place on could add: of those that stand for one another the best. */
  const ahead = list.map((_, from) => {
    const groups = new Map<string, number>();
    list.slice(from).forEach(({ instead, part }, place) => {
      const key = instead ?? part.id;
      groups.set(key, Math.max(groups.get(key) ?? 0, most[from + place]!));
    });
    return [...groups.values()].reduce((sum, value) => sum + value, 0);
  });
  const lengths = list.map(({ part, worth }) => [0, ...worth.map((_, place) => partLength({ ...part, rounds: place + 1 }))]);
  const afterPlace = list.map(({ after }) => (after === null ? -1 : list.findIndex(({ part }) => part.id === after)));
  const insteadPlaces = list.map(({ instead }, place) =>
    instead === null ? [] : [...list.keys()].filter((other) => other < place && list[other]!.instead === instead),
  );
  const rounds = list.map(() => 0);
  let [found, worth]: [Rounds | undefined, number] = [undefined, -1];

  const go = (place: number, time: Seconds, hits: number, value: number): void => {
    if (value + (ahead[place] ?? 0) <= worth) return;
    if (place === list.length) {
      if (beginsTooLate(partsWith(list, rounds), rules.rest).length === 0) [found, worth] = [[...rounds], value];
      return;
    }
    const { part } = list[place]!;
    const has = part.kind === 'warm-up' || part.kind === 'cool-down';
    const barred = rounds[afterPlace[place]!] === 0 || insteadPlaces[place]!.some((other) => rounds[other]! > 0);
    for (let count = barred ? 0 : sums[place]!.length; count >= (has ? 1 : 0); count--) {
      const takes = count === 0 ? 0 : lengths[place]![count]! + (time > 0 ? rules.rest : 0);
      const hit = part.impact ? count : 0;
      if (time + takes > length || hits + hit > impact) continue;
      rounds[place] = count;
      go(place + 1, time + takes, hits + hit, value + (count === 0 ? 0 : sums[place]![count - 1]!));
    }
    rounds[place] = 0;
  };
  go(0, 0, 0, 0);
  return found;
}

/** Why a candidate has none of its rounds, or fewer than would be worth while. */
function whyLess(search: Search, rounds: Rounds, place: number): string {
  const { list, rules, length } = search;
  const more = rounds.map((count, other) => (other === place ? count + 1 : count));
  const parts = partsWith(list, more);
  const used = impactRounds(partsWith(list, rounds));
  const { part, after } = list[place]!;
  if (part.impact && used + 1 > search.impact) {
    if (search.shared)
      return `${counted(search.impact, 'hard round')} ${search.impact === 1 ? 'is' : 'are'} this session’s share of the week.`;
    return search.impact < rules.impactASession
      ? `${counted(search.impact, 'hard round')} ${search.impact === 1 ? 'is' : 'are'} left of this week’s ${rules.impactAWeek}.`
      : `${counted(rules.impactASession, 'hard round')} a session are the most here.`;
  }
  const takes = partsLength(parts, rules.rest);
  if (takes > length) {
    const free = length - partsLength(partsWith(list, rounds), rules.rest);
    return `It takes ${clockTime(takes - length + free)} more, ${clockTime(free)} ${free === 1 ? 'is' : 'are'} left.`;
  }
  if (beginsTooLate(parts, rules.rest).length > 0) return 'It would put something new into the last third.';
  if (after !== null && !partsWith(list, rounds).some(({ id }) => id === after))
    return 'It comes after the low round, which does not fit.';
  return 'Something that is worth more takes its time.';
}

/** What is said of a candidate that has fewer rounds than would be worth while. */
const whatIsLess = ({ part, worth }: Candidate, rounds: number): string => {
  const name = part.kind === 're-check' ? `${part.title}, re-check` : part.title;
  return rounds === 0 ? name : `${name}: ${worth.length - rounds} of ${counted(worth.length, 'round')}`;
};

/** What is worth a word when it is left out: what was asked for and did not come; a second free round nobody has asked for. */
const isMissed = ({ part, instead }: Candidate, rounds: number, list: readonly Candidate[], all: Rounds): boolean => {
  if (instead !== null) return rounds === 0 && !list.some((one, place) => one.instead === instead && all[place]! > 0);
  return part.kind === 're-check' || rounds === 0;
};

/**
 * A session of so many minutes for one trainee, timed to the second: what has to be there, then what is worth most within the rules.
 * Of what was wanted and is not in it, it says why.
 */
export function makePlan(wish: PlanWish): MadePlan {
  const rules = rulesFor(wish.who);
  if (wish.who.rests) return { parts: [], change: rules.rest, leftOut: [{ what: 'A session', why: restsFirst }] };
  const { list, leftOut } = candidatesFor(rules, wish);
  const mayBe = Math.min(rules.impactASession, rules.impactAWeek - wish.impactThisWeek);
  const impact = Math.max(0, Math.min(mayBe, wish.impactAtMost ?? mayBe));
  const search: Search = { list, rules, length: wish.length, impact, shared: impact < mayBe };
  const rounds = best(search);
  if (!rounds) {
    const least = rules.warmUp + rules.rest + rules.coolDown;
    return {
      ...{ parts: [], change: rules.rest },
      leftOut: [{ what: 'A session', why: `Warm-up and cool-down alone take ${clockTime(least)}.` }],
    };
  }
  const told = new Set<string>();
  const less = list.flatMap((one, place): LeftOut[] => {
    const count = rounds[place]!;
    if (count >= one.worth.length || !isMissed(one, count, list, rounds)) return [];
    const key = one.instead ?? one.part.id;
    if (told.has(key)) return [];
    told.add(key);
    return [{ what: whatIsLess(one, count), why: whyLess(search, rounds, place) }];
  });
  return { parts: partsWith(list, rounds), leftOut: [...less, ...leftOut], change: rules.rest };
}
