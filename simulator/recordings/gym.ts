import type { Decibels, Ms, Seconds } from '@wax-fist/core/units';
import type { Random } from '../random.ts';
import { heardRate, type Library, type Recording } from './library.ts';
import { heardThrough, inHall, withAutomaticGain } from './room.ts';
import type { SoundKind } from './sources.ts';

/** Sounds that go on beside the hits. */
export type Backdrop = Extract<SoundKind, 'speech' | 'music' | 'band' | 'note'>;

/** What is heard in a gym, from the place of one phone. */
export interface Gym {
  seconds: Seconds;
  /** Whether somebody hits something at all. */
  hits: boolean;
  /** What plays or talks, so much quieter than the hits: the mean power of the 60 ms after each contact against its own, where it is heard at all. */
  backdrop?: { by: Backdrop; below: Decibels };
  /** Short sounds of whoever hits, each so much quieter than a hit, and how many of them a second. */
  short?: { by: 'step' | 'tick' | 'breath'; below: Decibels; everySecond: number }[];
  /** Another bag further away. */
  secondBag?: Decibels;
  /** How long the room takes to fall by 60 dB. */
  hall: Seconds;
  /** Whether the phone turns itself up and down. */
  automaticGain?: boolean;
}

export interface GymSound {
  /** Mono, −1 to 1, `heardRate`. */
  samples: Float32Array;
  /** When this trainee's hits land. */
  hits: Ms[];
  /** When somebody else's land. */
  otherHits: Ms[];
  /** When a short sound is heard, and which. */
  short: { by: 'step' | 'tick' | 'breath'; at: Ms; from: string }[];
}

const own = Math.round(0.06 * heardRate);
const ratioOf = (decibels: Decibels): number => 10 ** (decibels / 20);

const powerOf = (samples: Float32Array, from = 0, to = samples.length): number => {
  let sum = 0;
  for (let index = from; index < Math.min(to, samples.length); index++) sum += samples[index]! ** 2;
  return sum / Math.max(1, Math.min(to, samples.length) - from);
};

/** As `powerOf`, of what can be heard: pauses do not count. */
function heardPower(samples: Float32Array): number {
  const step = Math.round(0.05 * heardRate);
  const powers: number[] = [];
  for (let from = 0; from + step <= samples.length; from += step) powers.push(powerOf(samples, from, from + step));
  const loud = powers.filter((power) => power > 0.01 * Math.max(...powers));
  return loud.reduce((sum, power) => sum + power, 1e-12) / Math.max(1, loud.length);
}

const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random.next() * list.length)]!;

/** The same recording played so many times as fast, dying so fast, with treble or bass taken away. */
export function playedAs(samples: Float32Array, speed: number, dies: Seconds, dull: number): Float32Array {
  const count = Math.min(Math.floor(samples.length / speed) - 1, heardRate);
  const played = new Float32Array(Math.max(1, count));
  let smooth = 0;
  for (let index = 0; index < played.length; index++) {
    const place = index * speed;
    const whole = Math.floor(place);
    const value = samples[whole]! + (place - whole) * ((samples[whole + 1] ?? 0) - samples[whole]!);
    smooth += (1 - Math.abs(dull)) * (value - smooth);
    const toned = dull >= 0 ? smooth : value - Math.abs(dull) * smooth;
    played[index] = toned * Math.exp(-index / (dies * heardRate)) * Math.min(1, (played.length - index) / 200);
  }
  return played;
}

function mixIn(into: Float32Array, sound: Float32Array, at: Seconds, level: number): void {
  const first = Math.round(at * heardRate);
  const last = Math.min(into.length, first + sound.length);
  for (let index = Math.max(0, first); index < last; index++) into[index]! += level * sound[index - first]!;
}

/** A bag or a pair of pads: a few recordings of one maker, each hit a little different. */
function bagOf(random: Random, hits: readonly Recording[], freely: boolean): () => Float32Array {
  const maker = pick(random, hits).package;
  const family = hits.filter((one) => one.package === maker);
  const first = Math.floor(random.next() * family.length);
  const few = family.slice(first, first + 1 + Math.floor(random.next() * 4));
  const speed = freely ? Math.exp(random.between(-0.45, 0.45)) : random.between(0.9, 1.1);
  const dies = random.next() < 0.3 ? 1 : random.between(0.03, 0.12);
  const dull = freely ? random.between(-0.6, 0.6) : random.between(-0.2, 0.2);
  return () => {
    const sound = playedAs(pick(random, few).samples, speed * random.between(0.96, 1.04), dies * random.between(0.8, 1.25), dull);
    const level = 1 / Math.sqrt(powerOf(sound, 0, own) + 1e-12);
    return sound.map((value) => value * level);
  };
}

/** When somebody in combinations lands, seconds. */
function combinations(random: Random, seconds: Seconds): Seconds[] {
  const times: Seconds[] = [];
  let at = random.between(0.5, 1.5);
  while (at < seconds - 0.6) {
    const thrown = 1 + Math.floor(random.next() * 5);
    for (let place = 0; place < thrown && at < seconds - 0.6; place++) {
      times.push(at);
      at += random.between(0.15, 0.45);
    }
    at += random.between(0.5, 2.2);
  }
  return times;
}

/** A stretch of what plays or talks, put together from recordings. */
function stretchOf(random: Random, recordings: readonly Recording[], seconds: Seconds, pauses: boolean): Float32Array {
  const stretch = new Float32Array(Math.round(seconds * heardRate));
  let at = random.between(0, pauses ? 1 : 0);
  while (at < seconds) {
    const { samples } = pick(random, recordings);
    const longest = Math.round((seconds - at) * heardRate);
    const from = samples.length > longest ? Math.floor(random.next() * (samples.length - longest)) : 0;
    const part = samples.subarray(from, from + longest);
    mixIn(stretch, part, at, 0.1 / Math.sqrt(heardPower(part) + 1e-12));
    at += part.length / heardRate + (pauses ? random.between(0.2, 1.5) : 0);
  }
  return stretch;
}

/** A tune of single notes, some of them together. */
function tuneOf(random: Random, notes: readonly Recording[], seconds: Seconds): Float32Array {
  const tune = new Float32Array(Math.round(seconds * heardRate));
  const few = random.shuffled(notes).slice(0, 6);
  const beat = random.between(0.18, 0.6);
  for (let at = random.between(0, beat); at < seconds; at += beat * pick(random, [0.5, 1, 1, 1, 2])) {
    for (let voices = pick(random, [1, 1, 2, 3]); voices > 0; voices--) {
      const note = playedAs(pick(random, few).samples, 2 ** random.between(-1, 1), random.between(0.15, 1.2), 0);
      mixIn(tune, note, at, random.between(0.4, 1));
    }
  }
  return tune;
}

/**
 * A stretch of practice put together from recordings.
 * @param freely plays recordings faster, slower, duller and shorter than they are, so that few of them teach much
 */
export function gymSound(library: Library, random: Random, gym: Gym, freely = false): GymSound {
  const samples = new Float32Array(Math.round(gym.seconds * heardRate));
  const hits = gym.hits ? combinations(random, gym.seconds) : [];
  const bag = bagOf(random, library.hit, freely);
  for (const at of hits) mixIn(samples, bag(), at, ratioOf(random.normal(0, 3.5)));
  const short: GymSound['short'] = [];
  for (const { by, below, everySecond } of gym.short ?? []) {
    const few = random.shuffled(library[by]).slice(0, 5);
    for (
      let at = random.between(0, 1);
      at < gym.seconds - 0.5;
      at += Math.max(0.12, random.normal(1 / everySecond, 0.25 / everySecond))
    ) {
      const recording = pick(random, few);
      short.push({ by, at: at * 1000, from: recording.name });
      const sound = playedAs(recording.samples, freely ? random.between(0.7, 1.4) : random.between(0.95, 1.05), 0.6, 0);
      mixIn(samples, sound, at, ratioOf(-below + random.normal(0, 2.5)) / Math.sqrt(powerOf(sound, 0, own) + 1e-12));
    }
  }
  inHall(samples, random, gym.hall, 0.3);
  const otherHits: Seconds[] = [];
  if (gym.secondBag !== undefined) {
    const far = new Float32Array(samples.length);
    const other = bagOf(random, library.hit, freely);
    otherHits.push(...combinations(random, gym.seconds));
    for (const at of otherHits) mixIn(far, playedAs(other(), 1, 1, 0.35), at, ratioOf(-gym.secondBag + random.normal(0, 2)));
    inHall(far, random, Math.max(0.4, gym.hall), 0.6);
    mixIn(samples, far, 0, 1);
  }
  if (gym.backdrop) {
    const { by, below } = gym.backdrop;
    const stretch =
      by === 'note' ? tuneOf(random, library.note, gym.seconds) : stretchOf(random, library[by], gym.seconds, by === 'speech');
    mixIn(samples, stretch, 0, ratioOf(-below) / Math.sqrt(heardPower(stretch) + 1e-12));
  }
  const floor = ratioOf(-random.between(38, 55));
  let dull = 0;
  for (const [index, value] of samples.entries()) {
    dull += 0.3 * (random.next() * 2 - 1 - dull);
    samples[index] = value + floor * 2 * dull;
  }
  if (freely) heardThrough(samples, random.between(-0.5, 0.5));
  if (gym.automaticGain) withAutomaticGain(samples);
  const loud = ratioOf(random.between(-22, -8));
  return {
    samples: samples.map((value) => Math.tanh(value * loud)),
    hits: hits.map((at) => at * 1000),
    otherHits: otherHits.map((at) => at * 1000),
    short,
  };
}
