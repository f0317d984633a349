import type { Metres, Seconds } from '@wax-fist/core/units';
import { addChange, baseStance, type Channel, type Pose, type PoseChange } from '../../body/pose.ts';
import { seededRandom, type Random } from '../../random.ts';
import type { Scene } from '../../scene.ts';
import { bagTravel } from '../bag.ts';
import type { Impact } from '../thrown-round.ts';
import { stancesOf } from '../habit.ts';
import type { Contribution } from '../part.ts';
import { stations, type Station } from '../station.ts';

/** A step in and a posture may be held at the same time. */
export type HeldGroup = 'advance' | 'posture';

/** A round while it is being planned. */
export interface PlannedRound {
  scene: Scene;
  random: Random;
  station: Station;
  hits: Impact[];
  /** How often each has been thrown so far. */
  thrown: Map<string, number>;
  add: (contributions: readonly Contribution[]) => void;
  /** What is held, such as a step in for a strike from close up. Of several that overlap the furthest counts: nobody steps in twice. */
  addHeld: (contributions: readonly Contribution[], group: HeldGroup) => void;
  poseAt: (seconds: Seconds) => Pose;
  travelAt: (seconds: Seconds) => Metres;
  /** How tired somebody is at a moment, 0 to 1; grows over the round to what the scene asks for. */
  tiredAt: (seconds: Seconds) => number;
}

/** A person who stands is never still. */
function idleSway(random: Random): (pose: Pose, seconds: Seconds) => void {
  const phase = Array.from({ length: 6 }, () => random.between(0, 2 * Math.PI));
  const wave = (index: number, hertz: number, seconds: Seconds): number =>
    Math.sin(2 * Math.PI * hertz * seconds + phase[index]!);
  return (pose, seconds) => {
    addChange(pose, { 'pelvis.y': -0.009 }, 1 + wave(0, 1.55, seconds));
    addChange(pose, { 'pelvis.x': 0.012, 'pelvis.roll': 0.8 }, wave(1, 0.41, seconds));
    addChange(pose, { 'pelvis.z': 0.014 }, wave(2, 0.33, seconds));
    addChange(pose, { 'leadHand.x': 0.01, 'leadHand.y': 0.012 }, wave(3, 0.77, seconds));
    addChange(pose, { 'rearHand.x': 0.006, 'rearHand.y': 0.008 }, wave(4, 0.69, seconds));
    addChange(pose, { 'chest.yaw': 1.6, 'head.yaw': 1.2 }, wave(5, 0.52, seconds));
  };
}

/** What a tired body does all the time. */
const tired: PoseChange = {
  'leadHand.y': -0.09,
  'rearHand.y': -0.07,
  'leadElbow.out': 0.5,
  'rearElbow.out': 0.5,
  'chest.pitch': 4,
  'head.pitch': -7,
};
/** At the speed bag one stands square to it, fists up, elbows level. */
const atSpeedBag: PoseChange = {
  'pelvis.yaw': 33,
  'chest.yaw': 36,
  'head.yaw': 8,
  'head.pitch': -9,
  'chest.pitch': -6,
  'pelvis.pitch': -3,
  'leadHand.y': 0.08,
  'rearHand.y': 0.07,
  'leadHand.z': -0.08,
  'rearHand.z': 0.06,
  'leadHand.x': 0.02,
  'rearHand.x': -0.02,
  'leadElbow.out': 4,
  'rearElbow.out': 4,
  'leadShoulder.y': 0.02,
  'rearShoulder.y': 0.02,
};

/** The furthest of everything held, channel by channel. */
function addFurthest(pose: Pose, held: readonly Contribution[], seconds: Seconds): void {
  const furthest: PoseChange = {};
  for (const { change, shape } of held) {
    const amount = shape(seconds);
    if (amount === 0) continue;
    for (const channel of Object.keys(change) as Channel[]) {
      const here = change[channel]! * amount;
      if (Math.abs(here) > Math.abs(furthest[channel] ?? 0)) furthest[channel] = here;
    }
  }
  addChange(pose, furthest, 1);
}

export function planRound(scene: Scene, tiredAt: (seconds: Seconds) => number): PlannedRound {
  const random = seededRandom(scene.seed);
  const sway = idleSway(random);
  const contributions: Contribution[] = [];
  const held: Record<HeldGroup, Contribution[]> = { advance: [], posture: [] };
  const hits: Impact[] = [];
  const station = stations[scene.station ?? 'heavy-bag'];
  const stood = { ...baseStance };
  if (scene.station === 'speed-bag') addChange(stood, atSpeedBag, 1);
  for (const change of stancesOf(scene.habits ?? [])) addChange(stood, change, 1);
  return {
    scene,
    random,
    station,
    hits,
    thrown: new Map(),
    tiredAt,
    add: (more) => void contributions.push(...more),
    addHeld: (more, group) => void held[group].push(...more),
    travelAt: (seconds) => bagTravel(hits, seconds, station.swing),
    poseAt: (seconds) => {
      const pose = { ...stood };
      sway(pose, seconds);
      addChange(pose, tired, tiredAt(seconds));
      addFurthest(pose, held.advance, seconds);
      addFurthest(pose, held.posture, seconds);
      for (const { change, shape } of contributions) {
        const amount = shape(seconds);
        if (amount !== 0) addChange(pose, change, amount);
      }
      return pose;
    },
  };
}
