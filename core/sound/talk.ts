import { deviation, quantile } from 'd3-array';
import type { Decibels, Ms, Ratio, TimeSpan } from '../units.ts';
import { finite } from './finite.ts';
import type { Ring } from './ring.ts';
import { voicedness } from './voicedness.ts';

/** How closely it is listened, and how long a piece is that is talk or not. */
const [hop, piece]: readonly [Ms, Ms] = [40, 2000];
const hopsOfPiece = piece / hop;
/** A voice stands so far out of what a film is like at its quietest. */
const quiet: Ratio = 0.2;
const leastOver: Decibels = 6;
/** So much of an instant repeats at the pitch of a voice. */
const leastVoiced: Ratio = 0.55;
/** Of talk so much is voiced: blows are hardly, what is sung or played goes on and on. */
const [leastTalk, mostTalk]: readonly [Ratio, Ratio] = [0.2, 0.9];
/** Syllables rise and fall by so much; music, hums and fans keep their level. */
const leastChange: Decibels = 5;
/** And so often a voice comes and goes within a piece: what is switched on or off does it once. */
const leastTurns = 3;
/** So long a bell rings on. */
const ringsFor: Ms = 3000;
/** Pauses of a talk, and what is too short to be one. */
const [longestPause, shortestTalk]: readonly [Ms, Ms] = [2500, 2000];

/** Level of each hop. */
function levelsOf(samples: Float32Array, sampleRate: number): Decibels[] {
  const size = Math.round((hop / 1000) * sampleRate);
  return Array.from({ length: Math.floor(samples.length / size) }, (_, place) => {
    let power = 1e-10;
    for (let at = place * size; at < (place + 1) * size; at++) power += samples[at]! ** 2 / size;
    return 10 * Math.log10(power);
  });
}

/**
 * Spans of a film's sound in which somebody talks: pieces that are voiced in part, by a voice that rises and falls as syllables do.
 * @param samples mono, −1 to 1; what is no number is silence
 * @param sampleRate samples a second
 * @param rings bells, which sound like voices as long as they ring on
 */
export function findTalk(samples: Float32Array, sampleRate: number, rings: readonly Pick<Ring, 'time'>[] = []): TimeSpan[] {
  const heard = finite(samples);
  const levels = levelsOf(heard, sampleRate);
  const least = (quantile(levels, quiet) ?? 0) + leastOver;
  const isRung = (time: Ms): boolean => rings.some((ring) => time >= ring.time - hop && time <= ring.time + ringsFor);
  const isVoiced = levels.map(
    (level, place) => level >= least && !isRung(place * hop) && voicedness(heard, sampleRate, place * hop) >= leastVoiced,
  );
  const spans: TimeSpan[] = [];
  for (let from = 0; from + hopsOfPiece <= levels.length; from += hopsOfPiece / 4) {
    const voiced = isVoiced.slice(from, from + hopsOfPiece);
    const share = voiced.filter(Boolean).length / hopsOfPiece;
    const turns = voiced.filter((one, place) => place > 0 && one !== voiced[place - 1]).length;
    if (share < leastTalk || share > mostTalk || turns < leastTurns) continue;
    if (deviation(levels.slice(from, from + hopsOfPiece))! < leastChange) continue;
    const [begins, ends] = [from * hop, (from + hopsOfPiece) * hop];
    const last = spans.at(-1);
    if (last && begins - last.to <= longestPause) last.to = ends;
    else spans.push({ from: begins, to: ends });
  }
  return spans.filter(({ from, to }) => to - from >= shortestTalk);
}
