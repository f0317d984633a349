import type { Band } from '../band.ts';
import type { ShippedCheckpointId } from '../checkpoint.ts';
import type { ShippedTechniqueId } from '../technique.ts';

/** What a choice changes in the checklists. Without techniques it holds for all that have the checkpoint. */
export interface ChoiceEffects {
  bands?: readonly { checkpoint: ShippedCheckpointId; techniques?: readonly ShippedTechniqueId[]; band: Band }[];
  words?: readonly {
    checkpoint: ShippedCheckpointId;
    techniques?: readonly ShippedTechniqueId[];
    question?: string;
    clean?: string;
  }[];
  adds?: readonly { checkpoint: ShippedCheckpointId; techniques: readonly ShippedTechniqueId[]; band?: Band }[];
  drops?: readonly { checkpoint: ShippedCheckpointId; techniques: readonly ShippedTechniqueId[] }[];
  /** Measured and told, but no fault. */
  reports?: readonly { checkpoint: ShippedCheckpointId; techniques?: readonly ShippedTechniqueId[] }[];
  /** What techniques are called. */
  terms?: Readonly<Partial<Record<ShippedTechniqueId, string>>>;
}

/** One answer that a school can give where coaches differ, with what it changes. */
export interface Choice {
  id: string;
  name: string;
  /** Why a club does it so, in words that take no side. */
  reason: string;
  effects: ChoiceEffects;
}

/** One thing in which coaches differ. */
export interface Switch {
  id: string;
  name: string;
  question: string;
  choices: readonly Choice[];
}

const atLeast = (clean: number, watch: number): Band => ({ clean: [clean, null], watch: [watch, null] });
const upTo = (clean: number, watch: number): Band => ({ clean: [null, clean], watch: [null, watch] });
const between = (clean: readonly [number, number], watch: readonly [number, number]): Band => ({ clean, watch });

const jabs = ['jab'] as const;
const bodyHooks = ['lead-body-hook', 'rear-body-hook', 'double-lead-hook'] as const;
const sidewaysAndBack = ['jab-cross-open-side', 'jab-cross-back'] as const;
const crosses = [
  'cross',
  'jab-cross-static',
  'jab-cross-step',
  'jab-cross-diagonal',
  'jab-cross-slip',
  'jab-cross-closed-side',
  'jab-cross-open-side',
  'jab-cross-back',
  'jab-cross-drive',
] as const;
const roundKicks = ['rear-round', 'lead-round', 'switch-round', 'step-off-round', 'alternating-round'] as const;

const table = [
  {
    id: 'guard-line',
    name: 'Guard line',
    question: 'Where do the hands live?',
    choices: [
      {
        id: 'chin',
        name: 'Chin',
        reason: 'Hands at the chin see over the gloves, breathe easily and reach the body shots in time.',
        effects: { words: [{ checkpoint: 'gd.height', clean: 'Knuckles at the chin, before and after.' }] },
      },
      {
        id: 'cheekbone',
        name: 'Cheekbone',
        reason: 'Hands at the cheekbones are already where high strikes land; the elbows do the work for the body.',
        effects: {
          words: [{ checkpoint: 'gd.height', clean: 'Knuckles at the cheekbones, before and after.' }],
          bands: [{ checkpoint: 'gd.height', band: atLeast(0.1, -0.15) }],
        },
      },
      {
        id: 'low-lead',
        name: 'Low lead',
        reason:
          'A lead hand carried low outside of the hip hides its launch and guards against low lines; the rear hand keeps the face.',
        effects: {
          words: [
            {
              checkpoint: 'gd.height',
              question: 'Lead hand outside the hip, rear hand at the cheek?',
              clean: 'The lead hand low and outside of the hip, never inside it; the rear hand on the cheek.',
            },
          ],
          bands: [{ checkpoint: 'gd.height', band: atLeast(-2.7, -3.2) }],
        },
      },
    ],
  },
  {
    id: 'arm',
    name: 'Arm at contact',
    question: 'How long is a straight when it lands?',
    choices: [
      {
        id: 'full',
        name: 'Full extension',
        reason: 'A full arm uses all of the reach and keeps the partner far away.',
        effects: {
          words: [{ checkpoint: 'sm.extension', clean: 'All but straight at contact, never locked hard.' }],
          bands: [{ checkpoint: 'sm.extension', band: between([165, 178], [158, 178]) }],
        },
      },
      {
        id: 'bent',
        name: 'Slight bend',
        reason: 'The fist is fastest just before the arm is straight, and what is left of the arm goes into the target.',
        effects: {
          words: [{ checkpoint: 'sm.extension', clean: 'A slight bend left at contact, never locked.' }],
          bands: [{ checkpoint: 'sm.extension', band: between([148, 168], [140, 175]) }],
        },
      },
    ],
  },
  {
    id: 'intent',
    name: 'Intent',
    question: 'Off the surface, or through it?',
    choices: [
      {
        id: 'snap',
        name: 'Snap back',
        reason: 'A strike that comes back at once is home again before it can be answered.',
        effects: {},
      },
      {
        id: 'drive',
        name: 'Drive through',
        reason: 'Power rounds move what they hit; the hand may stay until the work is done.',
        effects: {
          reports: [{ checkpoint: 'sm.snap' }, { checkpoint: 'sm.through' }],
          words: [
            { checkpoint: 'sm.snap', question: 'How long does the hand stay?', clean: 'Told, and no fault in power rounds.' },
          ],
        },
      },
    ],
  },
  {
    id: 'front-heel',
    name: 'Front heel',
    question: 'Is the front heel light?',
    choices: [
      {
        id: 'light',
        name: 'Light',
        reason: 'Both heels up can leave in every direction.',
        effects: {
          words: [
            {
              checkpoint: 'st.heels',
              question: 'Both heels light, weight on the balls?',
              clean: 'A gap under the rear heel, paper under the front one.',
            },
          ],
        },
      },
      {
        id: 'planted',
        name: 'Planted on power',
        reason: 'A front heel that sits down on power shots gives the legs something to push from.',
        effects: {
          words: [
            {
              checkpoint: 'st.heels',
              question: 'Rear heel off the floor; the front one down only on power?',
              clean: 'A gap under the rear heel; the front heel may sit.',
            },
          ],
        },
      },
    ],
  },
  {
    id: 'stance-width',
    name: 'Stance width',
    question: 'How wide is the base?',
    choices: [
      {
        id: 'compact',
        name: 'Compact',
        reason: 'A narrow base starts quickest and checks a kick at once.',
        effects: { bands: [{ checkpoint: 'st.width', band: between([0.75, 1.1], [0.6, 1.35]) }] },
      },
      { id: 'standard', name: 'Standard', reason: 'A shoulder’s width is the middle between quick and firm.', effects: {} },
      {
        id: 'wide',
        name: 'Wide base',
        reason: 'A wide base carries hard hands and is hard to move; checks and kicks get slower from it.',
        effects: {
          bands: [{ checkpoint: 'st.width', band: between([1.1, 1.6], [0.9, 1.9]) }],
          words: [
            { checkpoint: 'st.width', question: 'Feet wider than the shoulders?', clean: 'Each foot outside of its shoulder.' },
          ],
        },
      },
    ],
  },
  {
    id: 'stance-line',
    name: 'Stance line',
    question: 'How far is the body turned?',
    choices: [
      {
        id: 'toe-heel',
        name: 'Toe and heel on a line',
        reason: 'Front toe and rear heel on one line is half turned: small enough, and both hands reach.',
        effects: {},
      },
      {
        id: 'bladed',
        name: 'Bladed',
        reason: 'Turned further away there is less to hit and the lead hand reaches longest.',
        effects: {
          bands: [
            { checkpoint: 'sm.rotation', techniques: crosses, band: atLeast(70, 50) },
            { checkpoint: 'st.rear-foot', band: between([45, 80], [30, 90]) },
          ],
        },
      },
      {
        id: 'squarer',
        name: 'Squarer',
        reason: 'Square hips kick and check with either leg and use both hands alike.',
        effects: {
          bands: [
            { checkpoint: 'sm.rotation', techniques: crosses, band: atLeast(40, 25) },
            { checkpoint: 'st.rear-foot', band: between([15, 45], [5, 60]) },
          ],
        },
      },
    ],
  },
  {
    id: 'jab-body',
    name: 'Body in the jab',
    question: 'Does the jab turn the hip?',
    choices: [
      {
        id: 'arm',
        name: 'Arm and shoulder',
        reason: 'Weight forward and no turn keeps the jab quick and the cross loaded.',
        effects: {},
      },
      {
        id: 'small-turn',
        name: 'Small turn',
        reason: 'A little turn of hip and lead foot gives the jab weight and length.',
        effects: {
          adds: [{ checkpoint: 'pv.lead-turn', techniques: jabs, band: atLeast(10, 4) }],
          words: [
            {
              checkpoint: 'pv.lead-turn',
              techniques: jabs,
              question: 'Do hip and lead foot turn a little with the jab?',
              clean: 'A little of both, and back at once.',
            },
          ],
        },
      },
    ],
  },
  {
    id: 'body-hook-fist',
    name: 'Fist of the body hook',
    question: 'Palm down or thumb up?',
    choices: [
      {
        id: 'palm-down',
        name: 'Palm down',
        reason: 'Palm down with a change of level brings the knuckles in flat and the head out of the way.',
        effects: { adds: [{ checkpoint: 'sm.hook-plane', techniques: bodyHooks }] },
      },
      {
        id: 'thumb-up',
        name: 'Thumb up',
        reason: 'Thumb up goes in between the elbows without going down for it.',
        effects: {
          drops: [{ checkpoint: 'sm.level', techniques: bodyHooks }],
          words: [{ checkpoint: 'sm.hook-plane', techniques: bodyHooks, clean: 'Thumb up, forearm as high as its target.' }],
        },
      },
    ],
  },
  {
    id: 'open-side-feet',
    name: 'Feet to the open side and back',
    question: 'Which foot goes with which hand?',
    choices: [
      {
        id: 'opposite',
        name: 'Opposite foot with hand',
        reason: 'Opposite hand and foot walk as people walk, and stay balanced.',
        effects: {
          words: [{ checkpoint: 'pv.sync', techniques: sidewaysAndBack, question: 'Does the opposite foot land with the fist?' }],
        },
      },
      {
        id: 'half-step',
        name: 'Half-step, then same side',
        reason: 'A quick half-step first makes room; then hand and foot of one side land as one block.',
        effects: {
          words: [
            {
              checkpoint: 'pv.sync',
              techniques: sidewaysAndBack,
              question: 'After the half-step: does the foot of the same side land with the fist?',
            },
          ],
        },
      },
    ],
  },
  {
    id: 'quarter-turn',
    name: 'Foot on the quarter turn',
    question: 'Does the foot keep touching the floor?',
    choices: [
      {
        id: 'touch',
        name: 'In touch',
        reason: 'A foot in touch with the floor can stop the turn at any moment.',
        effects: {
          words: [
            {
              checkpoint: 'pv.lift',
              question: 'Does the foot keep touching the floor through the turn?',
              clean: 'It brushes round without a gap.',
            },
          ],
        },
      },
      {
        id: 'lift',
        name: 'Lifted quietly',
        reason: 'A foot that is lifted a little turns without wear on knee and mat.',
        effects: {
          words: [
            {
              checkpoint: 'pv.lift',
              question: 'Is the foot lifted and set down without a sound?',
              clean: 'A finger’s breadth of air, and no noise.',
            },
          ],
        },
      },
    ],
  },
  {
    id: 'cross-foot',
    name: 'Rear foot on the cross',
    question: 'May it slide through?',
    choices: [
      { id: 'stays', name: 'Stays', reason: 'A foot that stays leaves a base to stand on when the answer comes.', effects: {} },
      {
        id: 'shift',
        name: 'May slide through',
        reason: 'Sliding through as a shift brings the rear side in for what follows; an exit then has to come.',
        effects: {
          reports: [{ checkpoint: 'pv.rear-slide' }],
          words: [
            {
              checkpoint: 'ex.move',
              techniques: crosses,
              question: 'After a shift: does an exit follow at once?',
              clean: 'Slid through, and gone with the next beat.',
            },
          ],
        },
      },
    ],
  },
  {
    id: 'round-arm',
    name: 'Arm on the round kick',
    question: 'What does the kicking-side arm do?',
    choices: [
      {
        id: 'counterweight',
        name: 'Swings down',
        reason: 'An arm that swings down turns the hip over by its weight; the other hand keeps the face.',
        effects: {
          bands: [{ checkpoint: 'gd.kick-hand', techniques: roundKicks, band: upTo(2.2, 2.8) }],
          words: [
            {
              checkpoint: 'gd.kick-hand',
              techniques: roundKicks,
              clean: 'Swings down in front, never behind the hip; the other hand stays.',
            },
          ],
        },
      },
      {
        id: 'home',
        name: 'Stays home',
        reason: 'A hand at home answers at once whatever comes over the kick.',
        effects: {
          words: [{ checkpoint: 'gd.kick-hand', techniques: roundKicks, clean: 'Both hands at home while the leg is away.' }],
        },
      },
    ],
  },
  {
    id: 'exit',
    name: 'First exit after a cross',
    question: 'All four are trained; which one comes first here?',
    choices: [
      {
        id: 'step',
        name: 'Pull-back by a step',
        reason: 'A step out is the shortest way to where nothing reaches.',
        effects: { words: [{ checkpoint: 'ex.move', techniques: crosses, clean: 'A step out, guard up, chin in.' }] },
      },
      {
        id: 'weave',
        name: 'Weave in',
        reason: 'Weaving in goes under the answer and stays in range for the next strike.',
        effects: { words: [{ checkpoint: 'ex.move', techniques: crosses, clean: 'Under the answer, with the knees.' }] },
      },
      {
        id: 'turn',
        name: 'Side step with a quarter turn',
        reason: 'A turn leaves the line and faces the partner’s side.',
        effects: { words: [{ checkpoint: 'ex.move', techniques: crosses, clean: 'Beside the line, facing in.' }] },
      },
      {
        id: 'slip',
        name: 'Slip and answer',
        reason: 'A slip with a strike in it makes the answer the partner’s problem.',
        effects: { words: [{ checkpoint: 'ex.move', techniques: crosses, clean: 'Slips the answer and strikes again.' }] },
      },
    ],
  },
  {
    id: 'terms',
    name: 'Names',
    question: 'What are the kicks called here?',
    choices: [
      { id: 'round-push', name: 'Round, push, thrust', reason: 'Named by what they do.', effects: {} },
      {
        id: 'hook-front',
        name: 'Hook kick, front kick',
        reason: 'Named by the strike of the hand that they are like.',
        effects: {
          terms: {
            'rear-round': 'Rear hook kick',
            'lead-round': 'Lead hook kick',
            'push-kick': 'Front kick',
            'thrust-kick': 'Rear front kick',
          },
        },
      },
    ],
  },
] as const satisfies readonly Switch[];

export type SwitchId = (typeof table)[number]['id'];
/** Everything in which coaches differ. */
export const switches: readonly (Switch & { id: SwitchId })[] = table;
