import { believedStrikes, findStrikes, type FoundStrike } from '@wax-fist/core/strikes';
import { findHits, noHitEdits, soundOfWave, type Candidate } from '@wax-fist/core/sound';
import { handOf, shippedCatalogue, techniqueIn, type TechniqueKind } from '@wax-fist/core/technique';
import { group, mean, quantile, sum } from 'd3-array';
import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { basename } from 'node:path';
import { seededRandom } from '../simulator/random.ts';
import { gymSound } from '../simulator/recordings/gym.ts';
import { heardRate, type Library } from '../simulator/recordings/library.ts';
import type { Truth } from '../simulator/truth/truth.ts';
import { everyFilm, followed } from './followed-films.ts';
import { matched } from './matching.ts';
import type { Line } from './table.ts';

/** A strike counts as found within this many milliseconds. */
const reach = 140;
/** Steps are no strikes, and beats of the speed bag are heard. */
const isStrike = ({ technique }: { technique: string }): boolean =>
  !/^(speed-bag|step-|in-and-out|shuffle|quarter-turn|stance-swap)/.test(technique);
/** What meets nothing, and so tells no limb. */
const meetNothing: readonly TechniqueKind[] = ['defence', 'feint'];
const commonest = 12;

/** The sound of a film; undefined where it was never rendered with one. */
function soundOf(film: string): Float32Array | undefined {
  if (!existsSync(`${film}.mp4`)) return undefined;
  const words = ['-loglevel', 'error', '-i', `${film}.mp4`, '-ac', '1', '-ar', String(heardRate), '-f', 'wav', '-'];
  return soundOfWave(execFileSync('ffmpeg', words, { maxBuffer: 2 ** 28 })).samples;
}

/** The same sound with a second bag, music and feet besides, each a little quieter than it, all recorded. */
function disturbed(samples: Float32Array, library: Library, seed: number): Float32Array {
  const { samples: others } = gymSound(library, seededRandom(seed), {
    ...{ seconds: samples.length / heardRate, hits: false, hall: 0.4, secondBag: 0 },
    backdrop: { by: 'music', below: 6 },
    short: [{ by: 'step', below: 6, everySecond: 1.5 }],
  });
  const loudest = (sound: Float32Array): number => quantile(sound.map(Math.abs), 0.995) ?? 0;
  const level = (0.3 * loudest(samples)) / (loudest(others) || 1);
  return samples.map((value, place) => value + level * (others[place] ?? 0));
}

interface Match {
  film: string;
  view: string;
  truth: string;
  found: FoundStrike;
}
interface Judged {
  matches: Match[];
  missed: { film: string; technique: string }[];
  madeUp: number;
}

/** What was found in one film against what is true of it. */
function judged(film: string, heard: (film: string) => readonly Candidate[]): Judged | undefined {
  const told = followed(film);
  if (!told) return undefined;
  const { scene, truth } = told;
  const strikes = truth.strikes.flatMap((strike) => (strike.parts as Truth['strikes'] | undefined) ?? [strike]);
  if (!strikes.every(isStrike)) return undefined;
  const { timeline, track, view, stance } = scene;
  const leftLeads = handOf('lead', stance) === 'left';
  const found = believedStrikes(findStrikes({ timeline, track, view, leftLeads }, heard(film)), noHitEdits);
  const contacts = strikes.map(({ contact }) => contact);
  const { of, madeUp } = matched(found, ({ time }) => time, contacts, reach);
  const pairs = strikes.map(({ technique }, place) => ({ technique, found: of[place] }));
  return {
    matches: pairs.flatMap(({ technique, found: one }) => (one ? [{ film, view, truth: technique, found: one }] : [])),
    missed: pairs.flatMap(({ technique, found: one }) => (one ? [] : [{ film, technique }])),
    madeUp: madeUp.length,
  };
}

const f1Of = (all: readonly Judged[]): number => {
  const right = sum(all, ({ matches }) => matches.length);
  return (2 * right) / (2 * right + sum(all, ({ missed, madeUp }) => missed.length + madeUp));
};
const kindOf = (technique: string): TechniqueKind => techniqueIn(shippedCatalogue, technique).kind;
/** What strikes and from which side, in one word. */
const limbOf = (technique: string): string => {
  const { kind, side } = techniqueIn(shippedCatalogue, technique);
  return meetNothing.includes(kind) ? 'none' : `${side} ${kind === 'kick' || kind === 'knee' ? 'leg' : 'arm'}`;
};
const nameOf = ({ names }: FoundStrike): string => names[0]?.technique ?? '';

/** How far what is claimed of names lies from how often they are right: mean over tenths of the claim, weighed by how many (Naeini and others, 2015). */
function calibrationError(matches: readonly Match[]): number {
  const tenths = group(matches, ({ found }) => Math.min(9, Math.floor(10 * (found.names[0]?.chance ?? 0))));
  return sum([...tenths.values()], (some) => {
    const claimed = mean(some, ({ found }) => found.names[0]?.chance ?? 0)!;
    const right = mean(some, ({ truth, found }) => (truth === nameOf(found) ? 1 : 0))!;
    return (some.length * Math.abs(claimed - right)) / matches.length;
  });
}

/** Strikes found and named in films of which neither ear nor eye was trained. @param library recordings for what disturbs */
export function benchStrikes(library: Library): Line[] {
  const sounds = new Map(everyFilm.map((film) => [film, soundOf(film)] as const));
  const hits =
    (disturb: boolean) =>
    (film: string): Candidate[] => {
      const samples = sounds.get(film);
      return samples ? findHits(disturb ? disturbed(samples, library, everyFilm.indexOf(film)) : samples, heardRate) : [];
    };
  const judgedBy = (heard: (film: string) => readonly Candidate[]): Judged[] =>
    everyFilm.flatMap((film) => judged(film, heard) ?? []);
  const heard = judgedBy(hits(false));
  const loud = judgedBy(hits(true));
  const seen = judgedBy(() => []);
  const line = (what: string, value: number, least: number, more = ''): Line => ({
    what: `strikes, ${what}`,
    measured: `${value.toFixed(3)}${more}`,
    target: `≥ ${least}`,
    reached: value >= least,
  });
  const counts = (all: readonly Judged[]): string =>
    ` (${sum(all, ({ matches }) => matches.length)} found, ${sum(all, ({ missed }) => missed.length)} missed, ${sum(all, ({ madeUp }) => madeUp)} made up)`;
  const isStruck = (technique: string): boolean => !meetNothing.includes(kindOf(technique));
  const matches = heard.flatMap((one) => one.matches);
  const struck = matches.filter(({ truth }) => isStruck(truth));
  const byCount = [...group(struck, ({ truth }) => truth)].sort(([, one], [, other]) => other.length - one.length);
  const common = new Set(byCount.slice(0, commonest).map(([technique]) => technique));
  const named = struck.filter(({ truth, view }) => common.has(truth) && view !== 'front');
  /** What is of one kind and is told to be. */
  const ofKind = (kind: TechniqueKind): Judged[] => {
    const isIt = (technique: string): boolean => technique !== '' && kindOf(technique) === kind;
    return heard.map(({ matches: of, missed: unseen }) => {
      const isRight = ({ found }: Match): boolean => isIt(nameOf(found));
      const own = of.filter(({ truth }) => isIt(truth));
      const others = of.filter(({ truth }) => !isIt(truth));
      const mistaken = own.filter((one) => !isRight(one)).map(({ film, truth }) => ({ film, technique: truth }));
      return {
        matches: own.filter(isRight),
        missed: [...unseen.filter(({ technique }) => isIt(technique)), ...mistaken],
        madeUp: others.filter(isRight).length,
      };
    });
  };
  const error = calibrationError(struck);
  const missed = [
    ...group(
      heard.flatMap((one) => one.missed),
      ({ film, technique }) => `${technique} ${/front|quarter/.exec(basename(film))?.[0] ?? 'side'}`,
    ),
  ]
    .map(([what, list]) => `${list.length} ${what}`)
    .join(', ');
  return [
    line('ear and eye, F1', f1Of(heard), 0.97, counts(heard)),
    line('with a second bag, music and feet, F1', f1Of(loud), 0.97, counts(loud)),
    line('eye alone, F1', f1Of(seen), 0.97, counts(seen)),
    line(
      'limb and side',
      mean(struck, ({ truth, found }) => (limbOf(truth) === (nameOf(found) ? limbOf(nameOf(found)) : '') ? 1 : 0))!,
      0.98,
    ),
    line(
      `technique, ${commonest} commonest, side and quarter`,
      mean(named, ({ truth, found }) => (truth === nameOf(found) ? 1 : 0))!,
      0.9,
    ),
    { what: 'strikes, calibration error of names', measured: error.toFixed(3), target: '≤ 0.05', reached: error <= 0.05 },
    line('defences, F1', f1Of(ofKind('defence')), 0.85, counts(ofKind('defence'))),
    line('feints, F1', f1Of(ofKind('feint')), 0.85, counts(ofKind('feint'))),
    { what: 'strikes, missed', measured: missed || 'none', target: '', reached: true },
  ];
}
