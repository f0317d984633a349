import { bisector } from 'd3-array';
import { isBelieved, type Candidate, type HitEdits, type StrikeSource } from '../sound/hit.ts';
import type { Ms, Ratio } from '../units.ts';
import type { SeenStrike } from './see-strikes.ts';

/** A strike or a defence that was found, and what it may have been: when it lands or is farthest out, and how likely it is that this trainee did anything there. */
export interface FoundStrike extends Candidate {
  from: StrikeSource[];
  /** The likeliest techniques with their chances, given that it was one; none where nobody was seen. */
  names: { technique: string; chance: Ratio }[];
}

/** What is heard within this of what is seen is the same: farther before it than after, as a limb is seen farthest out a little late. */
const [heardBefore, heardAfter]: readonly [Ms, Ms] = [90, 70];
/** Neither ear nor eye is ever surer than this. */
const surest: Ratio = 0.98;
const named = 4;

function odds(chance: Ratio): number {
  const sure = Math.min(surest, Math.max(1 - surest, chance));
  return sure / (1 - sure);
}
const chanceOf = (ratio: number): Ratio => ratio / (1 + ratio);
/** What is neither likelier nor less likely for having been heard as loudly as this. */
const evenHeard: Ratio = 0.2;

/**
 * Ear and eye as one: what is seen is timed by what is heard with it, and what is heard without anybody of this film's trainee
 * being out there falls away. Works with either alone.
 * @param heard as `findHits` gives them, in order of time
 * @param seen as `seeStrikes` gives them, in order of time
 * @param unseenShare how much of its chance a sound keeps at a time at which no limb of this trainee is seen out there: all of it where nobody is seen
 */
export function foundStrikes(
  heard: readonly Candidate[],
  seen: readonly SeenStrike[],
  unseenShare: (time: Ms) => Ratio,
): FoundStrike[] {
  const pairs = pairsOf(heard, seen);
  const found: FoundStrike[] = seen.map(({ time, chance, names }, place) => {
    const sound = pairs.get(place);
    return {
      time: sound?.time ?? time,
      prominence: sound ? chanceOf((odds(chance) * odds(sound.prominence)) / odds(evenHeard)) : chance,
      from: sound ? ['sound', 'sight'] : ['sight'],
      names: names.slice(0, named),
      sound: sound?.sound,
    };
  });
  const paired = new Set(pairs.values());
  for (const one of heard) {
    if (paired.has(one)) continue;
    found.push({ ...one, prominence: one.prominence * unseenShare(one.time), from: ['sound'], names: [] });
  }
  return found.sort((a, b) => a.time - b.time);
}

const byTime = bisector(({ time }: Candidate) => time);

/** Which sound belongs to which strike, by the strike's place: the nearest and likeliest first, each once. */
function pairsOf(heard: readonly Candidate[], seen: readonly SeenStrike[]): Map<number, Candidate> {
  const possible = seen.flatMap((strike, place) =>
    heard.slice(byTime.right(heard, strike.time - heardBefore), byTime.left(heard, strike.time + heardAfter)).map((sound) => ({
      place,
      sound,
      fit: sound.prominence * (1 - Math.abs(sound.time - strike.time) / (2 * heardBefore)) * strike.chance,
    })),
  );
  possible.sort((a, b) => b.fit - a.fit);
  const pairs = new Map<number, Candidate>();
  const taken = new Set<Candidate>();
  for (const { place, sound } of possible) {
    if (pairs.has(place) || taken.has(sound)) continue;
    pairs.set(place, sound);
    taken.add(sound);
  }
  return pairs;
}

/** Whether anybody was seen to do anything. */
export const isAnySeen = (found: readonly FoundStrike[]): boolean => found.some(({ from }) => from.includes('sight'));

/** From here on a strike is taken over with its likeliest name without being looked at. */
const sureEnough: Ratio = 0.75;
/** Whether it is sure enough that it was this strike of this trainee. */
export const isSureOf = ({ prominence, names }: FoundStrike): boolean => prominence * (names[0]?.chance ?? 0) >= sureEnough;

/** What is believed at the coach's sensitivity and was not taken out. What is seen to strike is ours, however quiet it is. */
export function believedStrikes(
  found: readonly FoundStrike[],
  { removed, ...belief }: Omit<HitEdits, 'added' | 'source'>,
): FoundStrike[] {
  const out = new Set(removed);
  return found.filter(
    (one) => !out.has(one.time) && isBelieved(one.from.includes('sight') ? { ...one, sound: undefined } : one, belief),
  );
}
