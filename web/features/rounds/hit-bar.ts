import type { Hit } from '@wax-fist/core/sound';
import { percent } from '@wax-fist/core/words';
import { roundsWords as words } from './words.ts';

/** Levels between which a bar grows, relative to the usual hit. */
const [quiet, loud] = [-14, 8];
const [leastHeight, unheard] = [18, 45];
/** Grey of a thunk and of a pop, in percent. */
const [dull, bright] = [42, 96];

/** How a hit is drawn: height in percent by loudness, brightness by snap. What was only seen, or set by hand, has a middling height. */
export function hitBar({ sound }: Hit): { height: string; background: string } {
  const loudness = sound ? Math.max(0, Math.min(1, (sound.level - quiet) / (loud - quiet))) : undefined;
  const height = loudness === undefined ? unheard : leastHeight + (100 - leastHeight) * loudness;
  const lightness = sound ? dull + (bright - dull) * sound.snap : dull;
  return { height: `${height.toFixed(0)}%`, background: `hsl(45 ${sound ? 12 : 0}% ${lightness.toFixed(0)}%)` };
}

const foundInWords: Record<Hit['by'], string> = {
  both: 'found',
  sound: 'heard',
  motion: words.seenToMoveLessSure,
  coach: words.setByHand,
};
/** What a hit is known from, and how sure it is where that is told. */
function knownFrom({ by, from, sure }: Hit): string {
  if (!from || sure === undefined) return foundInWords[by];
  const known = from.length === 2 ? words.heardAndSeen : from.includes('sight') ? words.seenNotHeard : words.heardNotSeen;
  return words.sureKnown(known, percent(sure));
}
const snapWords = [words.aThunk, 'dull', 'between', 'bright', words.aPop];
/** What a hit sounded like, in words. */
export function hitInWords(hit: Hit): string {
  const { sound } = hit;
  const found = knownFrom(hit);
  if (!sound) return found;
  const level = words.dbToTheUsualHit(sound.level >= 0 ? '+' : '−', Math.abs(sound.level).toFixed(0));
  return words.amongItsHits(found, level, snapWords[Math.min(4, Math.floor(sound.snap * 5))]!);
}
