import type { Ratio } from '../units.ts';
import type { Band, Span } from './band.ts';
import { bandOfZones, type TargetZone } from './target-zones.ts';

/** What a measure is told in. Ratios of lengths are in lengths of the torso or of the body, as each measure says. */
export type MeasureUnit = 'ratio' | 'degrees' | 'milliseconds';

/** Something that can be measured at a strike, with the band that holds where nobody says otherwise. */
export interface Measure {
  name: string;
  unit: MeasureUnit;
  /** What it is a share of, or what is measured, in words. */
  of: string;
  /** What it cannot be below: a reading can, by what it is off by. */
  least?: number;
  /** What it is read from. */
  from: 'moments' | 'pins' | 'track' | 'sound';
  /** None where every technique has its own. */
  band?: Band;
  /** The band of a technique that has none of its own, by where it may land, on somebody so tall. */
  bandByZones?: (zones: readonly TargetZone[], opponent?: Ratio) => Band | undefined;
}

/**
 * Where the bands come from that ship, with measures and with techniques: none of them was found by a study; they are what coaches
 * teach, and a club may move them. A band that rests on more says so in a comment beside it.
 */
export const bandSource = 'coaches’ convention';

const band = (clean: Span, watch: Span): Band => ({ clean, watch });
const upTo = (clean: number, watch: number): Band => band([null, clean], [null, watch]);
const atLeast = (clean: number, watch: number): Band => band([clean, null], [watch, null]);
/** As far to one side as to the other. */
const around = (clean: number, watch: number): Band => band([-clean, clean], [-watch, watch]);

/** What can be measured, with the band that holds where neither technique, school nor club says otherwise. */
const table = {
  'lead-order': {
    name: 'Lead order',
    unit: 'ratio',
    of: 'stance length, lead foot in front',
    from: 'pins',
    band: atLeast(0.3, 0),
  },
  'stance-width': {
    name: 'Stance width',
    unit: 'ratio',
    of: 'shoulder width, sideways',
    from: 'pins',
    band: band([0.9, 1.3], [0.75, 1.6]),
  },
  'stance-length': {
    name: 'Stance length',
    unit: 'ratio',
    of: 'torso, front to back',
    from: 'pins',
    band: band([0.7, 1.2], [0.55, 1.4]),
  },
  'foot-angle': {
    name: 'Foot angle',
    unit: 'degrees',
    of: 'toes turned out from the line of attack',
    from: 'pins',
    band: band([30, 60], [20, 75]),
  },
  'heel-height': {
    name: 'Heel height',
    unit: 'ratio',
    of: 'foot, heel over its own toe',
    from: 'pins',
    band: atLeast(0.12, 0.05),
  },
  'knee-angle': { name: 'Knee angle', unit: 'degrees', of: 'hip, knee, ankle', from: 'pins', band: band([140, 170], [125, 176]) },
  'trunk-lean': { name: 'Trunk lean', unit: 'degrees', of: 'from upright, forward', from: 'pins', band: band([0, 15], [-5, 22]) },
  'base-fraction': {
    name: 'Balance point',
    unit: 'ratio',
    of: 'way from rear to front ankle',
    from: 'pins',
    band: band([0.35, 0.65], [0.25, 0.8]),
  },
  'head-pitch': { name: 'Head pitch', unit: 'degrees', of: 'chin raised from level', from: 'pins', band: upTo(5, 15) },
  'guard-height': {
    name: 'Guard height',
    unit: 'ratio',
    of: 'head, knuckles over the guard line',
    from: 'pins',
    band: atLeast(-0.15, -0.4),
  },
  'elbow-flare': {
    name: 'Elbow flare',
    unit: 'degrees',
    of: 'upper arm from upright, sideways',
    from: 'pins',
    band: upTo(25, 40),
  },
  'other-hand-drop': {
    name: 'Other hand drop',
    unit: 'ratio',
    of: 'head, fall of the idle hand',
    from: 'track',
    band: upTo(0.25, 0.5),
  },
  'kick-hand-drop': {
    name: 'Kicking-side hand drop',
    unit: 'ratio',
    of: 'head, fall of the hand on the side that kicks',
    from: 'track',
    band: upTo(0.25, 0.5),
  },
  'exposure-time': {
    name: 'Time open',
    unit: 'milliseconds',
    of: 'with neither hand nor shoulder at the line',
    least: 0,
    from: 'track',
    band: upTo(120, 250),
  },
  'return-drop': {
    name: 'Return drop',
    unit: 'ratio',
    of: 'forearm, fall under the line home',
    least: 0,
    from: 'track',
    band: upTo(0.15, 0.35),
  },
  'home-miss': {
    name: 'Home miss',
    unit: 'ratio',
    of: 'head, away from the ready place',
    least: 0,
    from: 'pins',
    band: upTo(0.35, 0.7),
  },
  'shoulder-chin': {
    name: 'Shoulder to chin',
    unit: 'ratio',
    of: 'head, gap between shoulder and chin',
    from: 'pins',
    band: upTo(0.25, 0.45),
  },
  'path-deviation': {
    name: 'Path',
    unit: 'ratio',
    of: 'way of the fist, off its line',
    least: 0,
    from: 'track',
    band: upTo(0.08, 0.15),
  },
  'pre-move': {
    name: 'Movement before',
    unit: 'ratio',
    of: 'forearm, the wrong way before launch',
    least: 0,
    from: 'track',
    band: upTo(0.08, 0.2),
  },
  'elbow-angle': {
    name: 'Elbow at its longest',
    unit: 'degrees',
    // The bag is often met at 140° to 165°, while the arm still opens.
    of: 'shoulder, elbow, wrist, where the arm is longest',
    from: 'pins',
    band: band([165, 178], [158, 178]),
  },
  'wrist-bend': { name: 'Wrist bend', unit: 'degrees', of: 'knuckles from the forearm line', from: 'pins', band: upTo(10, 18) },
  'reach-use': {
    name: 'Reach used',
    unit: 'ratio',
    of: 'arm length at contact',
    from: 'pins',
    band: band([0.88, 1], [0.75, 1.02]),
  },
  'forearm-tilt': { name: 'Forearm tilt', unit: 'degrees', of: 'forearm from level', from: 'pins', band: around(15, 25) },
  'wind-up': {
    name: 'Wind-up',
    unit: 'ratio',
    of: 'forearm, away from the target first',
    least: 0,
    from: 'track',
    band: upTo(0.25, 0.5),
  },
  overrun: {
    name: 'Overrun',
    unit: 'ratio',
    of: 'shoulder width, past the centre line',
    least: 0,
    from: 'track',
    band: upTo(0.25, 0.5),
  },
  dwell: {
    name: 'Time at the target',
    unit: 'milliseconds',
    of: 'within 3% of the furthest point',
    least: 0,
    from: 'track',
    band: upTo(60, 110),
  },
  'snap-ratio': { name: 'Return over out', unit: 'ratio', of: 'time home by time out', from: 'moments', band: upTo(1.3, 1.8) },
  'foot-hand': {
    name: 'Foot after fist',
    unit: 'milliseconds',
    of: 'front foot down, from contact',
    from: 'track',
    band: around(50, 90),
  },
  'recovery-ratio': { name: 'Second step', unit: 'ratio', of: 'first step', from: 'track', band: band([0.8, 1.25], [0.65, 1.5]) },
  'step-order': {
    name: 'First foot',
    unit: 'milliseconds',
    of: 'the right foot leads the other by',
    from: 'track',
    band: atLeast(0, -40),
  },
  'feet-gap': { name: 'Closest feet', unit: 'ratio', of: 'base stance', from: 'track', band: atLeast(0.85, 0.65) },
  'step-length': { name: 'Step', unit: 'ratio', of: 'torso', least: 0, from: 'track', band: upTo(0.6, 0.85) },
  'heel-toe': {
    name: 'Ball before heel',
    unit: 'milliseconds',
    of: 'ball down ahead of the heel by',
    from: 'track',
    band: atLeast(0, -40),
  },
  'rear-slide': { name: 'Rear slide', unit: 'ratio', of: 'foot, launch to contact', from: 'track', band: upTo(0.3, 0.7) },
  'drive-order': {
    name: 'Feet before fist',
    unit: 'milliseconds',
    of: 'second foot down ahead of contact by',
    from: 'track',
    band: atLeast(0, -40),
  },
  'foot-pivot': { name: 'Foot turn', unit: 'degrees', of: 'launch to contact', from: 'pins' },
  'knee-elbow-lag': {
    name: 'Knee to elbow',
    unit: 'milliseconds',
    of: 'between their fastest moments',
    from: 'track',
    band: around(60, 110),
  },
  'hip-fist-lag': {
    name: 'Hip to fist',
    unit: 'milliseconds',
    of: 'the hip after the fist, between their fastest moments',
    from: 'track',
    // What is nearer to the middle comes first: a hip that is fastest after the fist came late.
    band: band([-80, 20], [-120, 60]),
  },
  'shoulder-turn': { name: 'Shoulder turn', unit: 'degrees', of: 'launch to contact', from: 'pins' },
  'foot-lane': { name: 'Foot lane', unit: 'ratio', of: 'foot, outside of the partner’s lead foot', from: 'pins' },
  'target-height': {
    name: 'Landing height',
    unit: 'ratio',
    of: 'torso, over the own hips as they stood',
    from: 'pins',
    bandByZones: bandOfZones,
  },
  'head-offset': { name: 'Head off line', unit: 'ratio', of: 'head width', from: 'pins', band: atLeast(0.5, 0.3) },
  'legs-share': { name: 'Legs’ share', unit: 'ratio', of: 'fall of the head', from: 'pins', band: atLeast(0.6, 0.4) },
  'shin-path': { name: 'Shin path', unit: 'degrees', of: 'shin from level, on its way in', from: 'track' },
  'leg-tilt': { name: 'Leg tilt', unit: 'degrees', of: 'shin from level at contact', from: 'pins', band: around(15, 25) },
  'knee-height': {
    name: 'Knee lift',
    unit: 'ratio',
    of: 'hip height, before the leg opens',
    from: 'pins',
    band: atLeast(0.85, 0.7),
  },
  'hip-travel': { name: 'Hip travel', unit: 'ratio', of: 'torso, towards the target', from: 'track', band: atLeast(0.25, 0.12) },
  'hand-travel': { name: 'Hand travel', unit: 'ratio', of: 'forearm, away from the face', from: 'track', band: upTo(0.5, 0.8) },
  'gap-change': { name: 'Gap kept', unit: 'ratio', of: 'distance before', from: 'track', band: band([0.85, 1.2], [0.7, 1.4]) },
  'exit-time': {
    name: 'Time to leave',
    unit: 'milliseconds',
    of: 'from the last contact',
    least: 0,
    from: 'track',
    band: upTo(600, 1000),
  },
  'time-to-base': {
    name: 'Time to base',
    unit: 'milliseconds',
    of: 'from the last contact',
    least: 0,
    from: 'track',
    band: upTo(700, 1200),
  },
  'fist-elbow': { name: 'Fist over elbow', unit: 'ratio', of: 'forearm', from: 'pins', band: around(0.25, 0.4) },
  'switch-drift': {
    name: 'Drift',
    unit: 'ratio',
    of: 'shoulder width, hips over the swap',
    least: 0,
    from: 'track',
    band: upTo(0.25, 0.45),
  },
  'head-clear': {
    name: 'Pads ahead of the head',
    unit: 'ratio',
    of: 'torso of whoever holds, nearer pad hand ahead of the nose',
    from: 'pins',
    band: atLeast(0.1, 0),
  },
  'holder-lean': {
    name: 'Holder’s lean',
    unit: 'degrees',
    of: 'of whoever holds, from upright, forward',
    from: 'pins',
    band: band([-5, 15], [-10, 22]),
  },
  'beat-variation': {
    name: 'Beat',
    unit: 'ratio',
    of: 'spread of the gaps between beats',
    least: 0,
    from: 'sound',
    band: upTo(0.06, 0.12),
  },
  pace: { name: 'Pace', unit: 'ratio', of: 'last third by first third, hits', from: 'sound', band: atLeast(0.85, 0.7) },
} as const satisfies Record<string, Measure>;

export type MeasureId = keyof typeof table;
/** Every measure by its id. */
export const measures: Readonly<Record<MeasureId, Measure>> = table;
/** The ids of all measures. */
export const measureIds = Object.keys(table) as MeasureId[];
/** Whether a checkpoint is measured by this, and not by eye or ear. */
export const isMeasureId = (id: string): id is MeasureId => Object.hasOwn(table, id);
