import { median, quantile } from 'd3-array';
import type { Decibels, Ms, Ratio } from '../units.ts';
import { bandCount, bandPowers, bandStep } from './bands.ts';
import { finite } from './finite.ts';
import type { Candidate } from './hit.ts';

/** Two hits are never closer than this. */
const refractory: Ms = 70;
/** A hit is heard for at least this long; its level and brightness are taken over it. */
const body: Ms = 60;
/** Rises are measured from the loudest moment of this span before. */
const before: Ms = 40;
const rise: Ms = 8;
/** The peak is looked for no later than this: a vowel that follows is not the hit's. */
const longestAttack: Ms = 36;
/** A band that rises by this much has risen; more does not make it more of a hit. */
const fullRise: Decibels = 15;
/** A rise, on average over the bands, below which nothing is looked at. */
const leastRise: Decibels = 1.5;

const steps = (time: Ms): number => Math.max(1, Math.round(time / bandStep));
const decibels = (power: number): Decibels => 10 * Math.log10(power + 1e-12);

/** Mean of the last `span` values at every place. */
function meanBefore(values: Float32Array, span: number): Float32Array {
  const means = new Float32Array(values.length);
  let sum = 0;
  for (let index = 0; index < values.length; index++) {
    sum += values[index]! - (index >= span ? values[index - span]! : 0);
    means[index] = Math.max(0, sum) / Math.min(span, index + 1);
  }
  return means;
}

/** How far each step's sound rises above what came before, averaged over the bands: what is short and broad stands out. */
function riseOf(bands: readonly Float32Array[]): Float32Array {
  const total = new Float32Array(bands[0]!.length);
  const [span, back] = [steps(rise), steps(before)];
  for (const band of bands) {
    const smooth = meanBefore(band, span);
    // A floor under the band, so that a rise out of silence is no larger than one that can be heard.
    const floor = (quantile(smooth, 0.3) ?? 0) + 1e-9;
    const level = smooth.map((power) => decibels(power + floor));
    const quiet = decibels(floor);
    for (let step = 0; step + span <= total.length; step++) {
      const now = level[step + span - 1]!;
      let loudest = quiet;
      for (let past = step > back ? step - back : 0; past < step && loudest < now; past++) {
        if (level[past]! > loudest) loudest = level[past]!;
      }
      if (now > loudest) total[step]! += Math.min(fullRise, now - loudest) / bandCount;
    }
  }
  return total;
}

/** Places of the highest rise within the refractory gap on either side. */
function peaksOf(rises: Float32Array): number[] {
  const gap = steps(refractory);
  const order = Array.from(rises.keys())
    .filter(
      (step) => rises[step]! >= leastRise && rises[step]! >= (rises[step - 1] ?? 0) && rises[step]! > (rises[step + 1] ?? 0),
    )
    .sort((a, b) => rises[b]! - rises[a]!);
  const taken = new Uint8Array(rises.length);
  const peaks: number[] = [];
  for (const step of order) {
    if (taken[step]) continue;
    peaks.push(step);
    taken.fill(1, Math.max(0, step - gap + 1), step + gap);
  }
  return peaks.sort((a, b) => a - b);
}

const sum = (values: Float32Array, from: number, to: number): number => {
  let total = 0;
  for (let index = Math.max(0, from); index < Math.min(values.length, to); index++) total += values[index]!;
  return total;
};

/** Span in which pitch is looked for; it has to hold the longest period twice. */
const pitchSpan: Ms = 50;
const [lowestPitch, highestPitch] = [90, 1000];

/**
 * Share of a sound that repeats at the pitch of a voice or an instrument: 1 for a steady tone, near 0 for a blow. Normalised
 * autocorrelation of the difference signal at half the rate; the difference takes the bag's own thump away.
 */
function voicedness(samples: Float32Array, sampleRate: number, from: Ms): Ratio {
  const rate = sampleRate / 2;
  const first = Math.round((from / 1000) * sampleRate);
  const length = Math.floor((pitchSpan / 1000) * rate);
  if (first + 2 * length + 4 > samples.length) return 0;
  const part = new Float32Array(length);
  for (let index = 0; index < length; index++) {
    const at = first + 2 * index;
    part[index] = samples[at + 2]! + samples[at + 3]! - samples[at]! - samples[at + 1]!;
  }
  const longest = Math.floor(rate / lowestPitch);
  const window = length - longest;
  let power = 1e-12;
  for (let index = 0; index < window; index++) power += part[index]! * part[index]!;
  let later = power;
  let best = 0;
  for (let lag = 1; lag <= longest; lag++) {
    later += part[lag + window - 1]! * part[lag + window - 1]! - part[lag - 1]! * part[lag - 1]!;
    if (lag < rate / highestPitch) continue;
    let product = 0;
    for (let index = 0; index < window; index++) product += part[index]! * part[index + lag]!;
    best = Math.max(best, product / Math.sqrt(power * Math.max(later, 1e-12)));
  }
  return Math.min(1, best);
}

interface Heard {
  time: Ms;
  rise: Decibels;
  level: Decibels;
  attack: Ms;
  decay: Ms;
  brightness: Ratio;
  voiced: Ratio;
}

/**
 * Hits on bags and pads in mono sound: short broadband bursts. Everything that could be one is told, with how far it stands out;
 * `hitsOf` cuts by sensitivity. Talk and tones are held back by their pitch and by how few bands they raise at once.
 * @param sound mono, −1 to 1; what is no number is silence
 * @param sampleRate samples a second, 8000 or more
 */
export function findHits(sound: Float32Array, sampleRate: number): Candidate[] {
  const samples = finite(sound);
  const bands = bandPowers(samples, sampleRate);
  if (bands[0]!.length < steps(before + body)) return [];
  const whole = bands[0]!.map((_, step) => bands.reduce((total, band) => total + band[step]!, 0));
  // The bag swings and the room hums below; what is heard of a hit is above.
  const heard = whole.map((power, step) => power - bands[0]![step]!);
  const smooth = meanBefore(heard, 3);
  const rises = riseOf(bands);
  const found: Heard[] = peaksOf(rises).map((step) => {
    const reach = steps(body);
    let peak = step;
    for (let at = step; at < Math.min(smooth.length, step + steps(longestAttack)); at++)
      if (smooth[at]! > smooth[peak]!) peak = at;
    const onset = onsetBefore(smooth, peak, step);
    const quiet = sum(heard, onset - steps(before), onset) / steps(before);
    let fallen = peak;
    while (fallen < smooth.length && fallen - peak < steps(600) && smooth[fallen]! - quiet > smooth[peak]! / 100) fallen++;
    const energy = sum(whole, onset, onset + reach);
    return {
      time: onset * bandStep,
      rise: rises[step]!,
      level: decibels(sum(heard, onset, onset + reach) / reach),
      attack: (peak - onset) * bandStep,
      decay: (fallen - peak) * bandStep,
      brightness: Math.min(1, (sum(bands[3]!, onset, onset + reach) + sum(bands[4]!, onset, onset + reach)) / (energy + 1e-12)),
      voiced: voicedness(samples, sampleRate, onset * bandStep + 10),
    };
  });
  return candidatesOf(found);
}

/** Where the sound begins that is loudest at `peak`: a tenth of the way up from what was there before. */
function onsetBefore(smooth: Float32Array, peak: number, guess: number): number {
  const earliest = Math.max(0, guess - 3);
  let quietest = Infinity;
  for (let at = Math.max(0, guess - 8); at <= guess; at++) quietest = Math.min(quietest, smooth[at]!);
  const edge = quietest + 0.1 * (smooth[peak]! - quietest);
  let onset = peak;
  while (onset > earliest && smooth[onset - 1]! > edge) onset--;
  return onset;
}

const within = (value: number, low: number, high: number): Ratio => Math.max(0, Math.min(1, (value - low) / (high - low)));

function candidatesOf(found: readonly Heard[]): Candidate[] {
  if (found.length === 0) return [];
  const sure = found.filter((one) => standsOut(one) > 0.6);
  const usual = median(sure.length > 2 ? sure : found, ({ level }) => level)!;
  const loud = found.map((one) => ({ ...one, level: one.level - usual }));
  const snaps = snapsOf(loud);
  return loud.map((one, place) => {
    // What is far below the usual hit is a step, a breath or a hit on the next bag.
    const weight = within(one.level, -22, -9);
    const { time, level, attack, decay, brightness } = one;
    return { time, prominence: standsOut(one) * weight, sound: { level, attack, decay, brightness, snap: snaps[place]! } };
  });
}

/** By its own shape alone: a broad, sudden rise without pitch. */
function standsOut({ rise: risen, attack, voiced }: Heard): Ratio {
  return within(risen, 1, 5.5) * (1 - 0.9 * within(voiced, 0.4, 0.75)) * (1 - 0.85 * within(attack, 14, 28));
}

/** Ranks of pop against thunk within the film. */
function snapsOf(found: readonly Heard[]): Ratio[] {
  const score = found.map(({ brightness, decay, level }) => brightness - 0.25 * Math.log10((decay + 10) / 100) - 0.005 * level);
  const order = [...score.keys()].sort((a, b) => score[a]! - score[b]!);
  const ranks = new Array<Ratio>(found.length).fill(0.5);
  if (found.length > 1) order.forEach((index, rank) => (ranks[index] = rank / (found.length - 1)));
  return ranks;
}
