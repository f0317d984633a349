import type { Seconds } from '@wax-fist/core/units';
import { seededRandom, type Random } from '../random.ts';
import { noise, sampleRate, track } from './voices.ts';

/** What else is heard in a gym. */
export const disturbances = ['noise', 'tones', 'talk'] as const;
export type Disturbance = (typeof disturbances)[number];

/** Two-pole resonance of a mouth. */
function resonance(hertz: number, width: number): (input: number) => number {
  const radius = Math.exp((-Math.PI * width) / sampleRate);
  const turn = 2 * radius * Math.cos((2 * Math.PI * hertz) / sampleRate);
  let [last, before] = [0, 0];
  return (input) => {
    const value = (1 - radius) * input + turn * last - radius * radius * before;
    [before, last] = [last, value];
    return value;
  };
}

/** Steady noise of a room with fans and street, brighter than its own murmur. */
function roomNoise(random: Random, seconds: Seconds): Float32Array {
  const { samples, add } = track(seconds);
  const [dull, bright] = [noise(random, 40, 700), noise(random, 700, 7000)];
  add(0, seconds, () => dull() + 0.35 * bright());
  return samples;
}

/** Music from a box: a bass, changing chords and a plucked tune, without drums. */
function tones(random: Random, seconds: Seconds): Float32Array {
  const { samples, add } = track(seconds);
  const beat = random.between(0.4, 0.55);
  const hertz = (semitones: number): number => 110 * 2 ** (semitones / 12);
  const voice = (start: number, lasts: number, pitch: number, level: number, fade: number): void => {
    add(start, lasts, (t) => {
      const shape = Math.min(1, t / 0.012, (lasts - t) / 0.02) * Math.exp(-t / fade);
      const phase = 2 * Math.PI * pitch * t;
      return level * shape * (Math.sin(phase) + 0.4 * Math.sin(2 * phase) + 0.2 * Math.sin(3 * phase));
    });
  };
  const roots = [0, 5, 7, 3];
  for (let bar = 0; bar * 4 * beat < seconds; bar++) {
    const root = roots[bar % roots.length]!;
    for (const third of [12, 16, 19]) voice(bar * 4 * beat, 4 * beat, hertz(root + third), 0.12, 4);
    for (let place = 0; place < 4; place++) {
      const start = (bar * 4 + place) * beat;
      voice(start, beat * 0.9, hertz(root - 12 + (place % 2) * 7), 0.3, 0.5);
      if (random.next() < 0.75)
        voice(
          start + (random.next() < 0.3 ? beat / 2 : 0),
          beat,
          hertz(root + 24 + [0, 2, 4, 7, 9][Math.floor(random.next() * 5)]!),
          0.22,
          0.25,
        );
    }
  }
  return samples;
}

/** Talk and shouting: phrases of syllables, each a voice through three resonances, some begun with a hiss or a pop of the lips. */
function talk(random: Random, seconds: Seconds): Float32Array {
  const { samples, add } = track(seconds);
  const vowels = [
    [730, 1090, 2440],
    [270, 2290, 3010],
    [530, 1840, 2480],
    [570, 840, 2410],
    [300, 870, 2240],
  ] as const;
  let at = random.between(0, 1);
  while (at < seconds) {
    const pitch = random.between(95, 210);
    const phraseEnd = at + random.between(0.8, 2.6);
    while (at < phraseEnd) {
      const start = random.next();
      if (start < 0.3) {
        const lasts = random.between(0.05, 0.11);
        const hiss = noise(random, 2500, 9000);
        add(at, lasts, (t) => 0.35 * hiss() * Math.sin((Math.PI * t) / lasts));
        at += lasts * 0.9;
      } else if (start < 0.55) {
        const pop = noise(random, 300, 4000);
        add(at, 0.03, (t) => 0.5 * pop() * Math.min(1, t / 0.002) * Math.exp(-t / 0.006));
        at += 0.025;
      }
      const lasts = random.between(0.09, 0.24);
      const mouth = vowels[Math.floor(random.next() * vowels.length)]!.map((hertz, place) => resonance(hertz, 80 + 40 * place));
      const bend = random.between(-0.15, 0.1);
      let phase = 0;
      add(at, lasts, (t) => {
        phase += (pitch * (1 + (bend * t) / lasts)) / sampleRate;
        const pulse = phase >= 1 ? 1 : 0;
        phase %= 1;
        const shape = Math.min(1, t / 0.025, (lasts - t) / 0.03);
        return shape * mouth.reduce((sum, sound, place) => sum + sound(pulse * 90) / (1 + place), 0);
      });
      at += lasts + random.between(0, 0.05);
    }
    at += random.between(0.3, 1.6);
  }
  return samples;
}

const makers: Record<Disturbance, (random: Random, seconds: Seconds) => Float32Array> = { noise: roomNoise, tones, talk };

/** A disturbance by itself; the same seed always sounds the same. */
export const disturbanceOf = (kind: Disturbance, seed: number, seconds: Seconds): Float32Array =>
  makers[kind](seededRandom(seed), seconds);
