import { median } from 'd3-array';
import type { Decibels, Ms, Ratio } from '../units.ts';
import { bandPowers, bandStep, brightFrom, heardPowers } from './bands.ts';
import { finite } from './finite.ts';
import { farther } from './far-bag.ts';
import { against, chancesOf, networkOf } from '../network/index.ts';
import { contextOf } from './film-context.ts';
import { hitFeatures, onsetClasses } from './hit-features.ts';
import { keptEars } from './kept-ears.ts';
import type { Candidate } from './hit.ts';
import { decibelsOf, meanBefore, onsetsIn, stepsIn, type Onset } from './onsets.ts';

/** A hit is heard for at least this long; its level and brightness are taken over it. */
const body: Ms = 60;
const before: Ms = 40;
/** What is less likely a hit than this is not told at all. */
const leastChance: Ratio = 0.03;

const [alone, inFilm] = [networkOf(keptEars.alone), networkOf(keptEars.inFilm)];
const hitClass = onsetClasses.indexOf('hit');

interface Heard {
  time: Ms;
  chance: Ratio;
  level: Decibels;
  attack: Ms;
  decay: Ms;
  brightness: Ratio;
}

const sum = (values: Float32Array, from: number, to: number): number => {
  let total = 0;
  for (let index = Math.max(0, from); index < Math.min(values.length, to); index++) total += values[index]!;
  return total;
};

/**
 * Hits on bags and pads in mono sound. Everything that could be one is told, with how likely it is; `hitsOf` cuts by sensitivity.
 * Sudden sounds are found by the rise of their bands and judged by a small network that was trained on recorded blows, steps,
 * breath, talk and music.
 * @param sound mono, −1 to 1; what is no number is silence
 * @param sampleRate samples a second, 8000 or more
 */
export function findHits(sound: Float32Array, sampleRate: number): Candidate[] {
  const samples = finite(sound);
  const bands = bandPowers(samples, sampleRate);
  if (bands[0]!.length < stepsIn(before + body)) return [];
  const heard = heardPowers(bands);
  const onsets = onsetsIn(bands, heard);
  const rows = hitFeatures(samples, sampleRate, bands, onsets);
  const byThemselves = rows.map((row) => chancesOf(alone, row)[hitClass]!);
  const among = contextOf(rows, byThemselves);
  const tell = teller(bands, heard);
  return candidatesOf(
    onsets
      .map((onset, place) => ({ onset, chance: against(chancesOf(inFilm, among[place]!)[hitClass]!, leaning) }))
      .filter(({ chance }) => chance >= leastChance)
      .map(({ onset, chance }) => ({ ...tell(onset), chance })),
  );
}

/** Tells how an onset sounded. */
function teller(bands: readonly Float32Array[], heard: Float32Array): (onset: Onset) => Omit<Heard, 'chance'> {
  const smooth = meanBefore(heard, 3);
  const reach = stepsIn(body);
  const total = (from: number, parts: readonly Float32Array[]): number =>
    parts.reduce((energy, band) => energy + sum(band, from, from + reach), 0);
  return ({ begin, peak }) => {
    const quiet = sum(heard, begin - stepsIn(before), begin) / stepsIn(before);
    let fallen = peak;
    while (fallen < smooth.length && fallen - peak < stepsIn(600) && smooth[fallen]! - quiet > smooth[peak]! / 100) fallen++;
    return {
      time: begin * bandStep,
      level: decibelsOf(sum(heard, begin, begin + reach) / reach),
      attack: (peak - begin) * bandStep,
      decay: (fallen - peak) * bandStep,
      brightness: Math.min(1, total(begin, bands.slice(brightFrom)) / (total(begin, bands) + 1e-12)),
    };
  };
}

function candidatesOf(found: readonly Heard[]): Candidate[] {
  if (found.length === 0) return [];
  const sure = found.filter(({ chance }) => chance > 0.6);
  const usual = median(sure.length > 2 ? sure : found, ({ level }) => level)!;
  const loud = found.map((one) => ({ ...one, level: one.level - usual }));
  const isFarther = farther(sure.map(({ time, level }) => ({ time, level: level - usual })));
  const snaps = snapsOf(loud);
  return loud.map(({ time, chance, level, attack, decay, brightness }, place) => ({
    time,
    prominence: isFarther(level) ? chance * farShare : chance,
    sound: { level, attack, decay, brightness, snap: snaps[place]! },
  }));
}

/**
 * A network that saw more noise than hits leans towards noise: with so much of the weight of the rest, as many hits are missed as
 * made up at the usual sensitivity.
 */
const leaning = 0.4;

/** What is heard from another bag is shown only to those who ask for whatever could be a hit. */
const farShare: Ratio = 0.4;

/** Ranks of pop against thunk within the film. */
function snapsOf(found: readonly Heard[]): Ratio[] {
  const score = found.map(({ brightness, decay, level }) => brightness - 0.25 * Math.log10((decay + 10) / 100) - 0.005 * level);
  const order = [...score.keys()].sort((a, b) => score[a]! - score[b]!);
  const ranks = new Array<Ratio>(found.length).fill(0.5);
  if (found.length > 1) order.forEach((index, rank) => (ranks[index] = rank / (found.length - 1)));
  return ranks;
}
