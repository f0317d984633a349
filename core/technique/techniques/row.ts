import type { Ms } from '../../units.ts';
import type { Band } from '../band.ts';
import type { ShippedCheckpointId } from '../checkpoint.ts';
import type { StrikeFamily } from '../family.ts';
import type { TargetZone } from '../target-zones.ts';

/** What sort of thing is thrown. */
export const techniqueKinds = [
  'hand',
  'jab-cross',
  'elbow',
  'kick',
  'knee',
  'feint',
  'defence',
  'footwork',
  'bag',
  'pads',
  'holding',
] as const;
export type TechniqueKind = (typeof techniqueKinds)[number];

/** In words. */
export const techniqueKindNames: Record<TechniqueKind, string> = {
  hand: 'Hands',
  'jab-cross': 'Ways to move the jab–cross',
  elbow: 'Elbows',
  kick: 'Kicks',
  knee: 'Knees',
  feint: 'Feints',
  defence: 'Defence',
  footwork: 'Footwork',
  bag: 'Bags',
  pads: 'Pads',
  holding: 'Holding pads',
};

/** Which hand or foot, by the stance. */
export type Side = 'lead' | 'rear' | 'both';
/** From how far it is thrown. */
export type Range = 'long' | 'middle' | 'close' | 'any';

/** Checkpoints that go together, under a name. */
export const checkpointLists = {
  /** Looked at in the ready phase of every technique. */
  base: ['st.width', 'st.heels', 'st.knees', 'st.lean', 'st.chin', 'gd.height', 'gd.elbows'],
  /** The same where the technique has a row of its own for the trunk: one number has one verdict. */
  baseWithoutLean: ['st.width', 'st.heels', 'st.knees', 'st.chin', 'gd.height', 'gd.elbows'],
  /** In every strike with a hand. */
  hand: ['sm.telegraph', 'sm.fist', 'gd.return-line', 'gd.other-hand', 'st.balance', 'sm.breath', 'ex.move', 'ex.reset'],
  straight: ['sm.straight', 'sm.turnover', 'sm.wrist', 'sm.extension', 'sm.range', 'gd.cover', 'sm.snap'],
  /** Foot and fist together, wherever the jab is thrown with a step. */
  jab: ['pv.sync'],
  cross: ['sm.rotation', 'sm.hip-stop', 'pv.rear-turn', 'pv.knee-elbow', 'pv.rear-slide'],
  hook: ['sm.hook-angle', 'sm.hook-plane', 'sm.hook-width', 'sm.hook-stop', 'sm.wrist', 'sm.range', 'sm.rotation'],
  uppercut: ['sm.load', 'sm.uppercut-path', 'sm.wrist', 'sm.range', 'sm.target', 'sm.rotation'],
  bodyHook: ['sm.body-hook-order', 'sm.level', 'sm.hook-width', 'sm.target', 'sm.wrist'],
  kick: ['sm.telegraph', 'gd.kick-hand', 'gd.other-hand', 'sm.target', 'kk.upright', 'kk.return', 'ex.reset'],
  /** The hip is judged by the leg that it carries: shoulders that turn with a kick tell of the arm. */
  round: ['pv.support-turn', 'kk.level-leg', 'kk.surface', 'kk.through'],
  defence: ['ex.reset'],
  steps: ['pv.first-foot', 'pv.recover', 'pv.no-cross'],
  holder: [
    'ph.narrow',
    'ph.distinct',
    'ph.rib-line',
    'ph.firm',
    'ph.head-clear',
    'ph.angle',
    'ph.turn',
    'ph.feed',
    'ph.lead',
    'ph.feedback',
  ],
} as const satisfies Record<string, readonly ShippedCheckpointId[]>;
export type CheckpointListName = keyof typeof checkpointLists;

/** A technique as the tables tell it. */
export interface TechniqueRow {
  id: string;
  name: string;
  kind: TechniqueKind;
  side: Side;
  range: Range;
  /** Other names that people use. */
  alsoSaid: readonly string[];
  /** Of a series, the strikes in their order; each of them is walked by itself. */
  parts?: readonly string[];
  lists: readonly CheckpointListName[];
  beyond: readonly ShippedCheckpointId[];
  /** Where it differs from what its measures ask in general. */
  bands?: Partial<Record<ShippedCheckpointId, Band>>;
  /** Nothing below the belt line and nothing behind the side seam, ever. */
  zones: readonly TargetZone[];
  /** Faults that usually bring each other about, first cause first. */
  chain: readonly ShippedCheckpointId[];
  /** What can hurt, for striker or holder. */
  risk: string;
  /** Why a family is not looked at. */
  without?: Partial<Record<StrikeFamily, string>>;
  /** Usual time from launch to contact, for a first guess at the launch. */
  usualOut: Ms;
  /** Usual time from contact to home. */
  usualReturn: Ms;
}

const above = (clean: number, watch: number): Band => ({ clean: [clean, null], watch: [watch, null] });
const upTo = (clean: number, watch: number): Band => ({ clean: [null, clean], watch: [null, watch] });
const between = (clean: readonly [number, number], watch: readonly [number, number]): Band => ({ clean, watch });

/** Bands that several techniques share. */
export const bandOf = {
  rearTurn: above(40, 20),
  leadTurn: above(45, 25),
  bodyTurn: above(55, 35),
  smallTurn: above(30, 15),
  hookElbow: between([75, 115], [60, 130]),
  hookReach: between([0.45, 0.85], [0.35, 0.95]),
  uppercutReach: between([0.35, 0.7], [0.25, 0.8]),
  fullSupport: above(75, 45),
  risingSupport: between([10, 45], [0, 60]),
  risingPath: between([30, 60], [20, 70]),
  risingElbow: between([100, 130], [85, 145]),
  /** A rear hand that carries the body lands with the weight further forward than a jab. */
  rearBalance: between([0.4, 0.78], [0.3, 0.88]),
  /** A hook turns on the front foot, and takes some of the weight there. */
  hookBalance: between([0.35, 0.78], [0.25, 0.88]),
  /** A head that slips off the line, or works close up, goes over the front knee. */
  forwardBalance: between([0.4, 0.86], [0.3, 0.94]),
  /** A leg that is out is held up by some lean back, the more the higher and the straighter it goes. */
  kickUpright: between([-12, 15], [-22, 22]),
  highKickUpright: between([-18, 15], [-28, 22]),
  straightKickUpright: between([-20, 15], [-28, 22]),
  /** Comes down across the thigh, or level into it. */
  lowPath: between([-35, 20], [-50, 35]),
  lowSupport: above(50, 25),
  /** A kick that goes through is past the target; one that stops dead is not. */
  kickThrough: above(0.12, 0.04),
  /** An elbow lands with the hand near the head. */
  elbowReach: upTo(0.75, 0.85),
  /** Front and side by turns: half of the strikes come round. */
  mixedPath: upTo(0.2, 0.3),
  /** At the speed bag the elbows are up, level with the fists. */
  speedBagElbows: between([60, 115], [45, 125]),
  /** Out of a sprawl the back is long over hips that are down, and the eyes are up. */
  sprawlLean: between([35, 85], [20, 95]),
  sprawlChin: upTo(28, 40),
  /** At the launch: sunk into the leg that is going to push, which is far from half a squat. */
  loadedKnee: between([90, 135], [82, 145]),
} as const satisfies Record<string, Band>;
