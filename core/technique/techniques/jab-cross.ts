import { bandOf, type TechniqueRow } from './row.ts';

const both = ['base', 'hand', 'straight', 'jab', 'cross'] as const;
const shared = {
  kind: 'jab-cross',
  side: 'both',
  range: 'long',
  parts: ['jab', 'cross'],
  lists: both,
  zones: ['face', 'chin'],
  bands: { 'st.balance': bandOf.rearBalance, 'pv.rear-turn': bandOf.rearTurn, 'sm.rotation': bandOf.bodyTurn },
  usualOut: 480,
  usualReturn: 300,
} as const;

/** The same two strikes, carried eight ways; each is learned and judged as a technique of its own. */
export const jabCrosses = [
  {
    ...shared,
    id: 'jab-cross-static',
    name: 'Jab–cross on the spot',
    alsoSaid: ['one-two', 'standing one-two'],
    // Nobody steps here, so no foot lands with the fist.
    lists: ['base', 'hand', 'straight', 'cross'],
    beyond: ['st.rear-foot', 'st.loose', 'ex.open-side'],
    chain: ['pv.rear-turn', 'sm.rotation'],
    risk: 'Three turns have to be seen: out, across, back.',
  },
  {
    ...shared,
    id: 'jab-cross-step',
    name: 'Jab–cross with a step',
    alsoSaid: ['stepping one-two', 'step in one-two'],
    beyond: ['pv.first-foot', 'pv.recover', 'pv.step-size', 'pv.land'],
    chain: ['pv.step-size', 'sm.range', 'st.balance'],
    risk: 'Too big a step runs into the answer.',
  },
  {
    ...shared,
    id: 'jab-cross-diagonal',
    name: 'Jab–cross on the diagonal',
    alsoSaid: ['angle step one-two', 'one-two off the line'],
    beyond: ['pv.outside-foot', 'pv.recover', 'pv.step-size'],
    chain: ['pv.outside-foot', 'pv.recover'],
    risk: 'Goes to the partner’s outside lane, not onto the foot.',
  },
  {
    ...shared,
    id: 'jab-cross-slip',
    name: 'Jab, slip and cross',
    alsoSaid: ['slip cross', 'one-slip-two'],
    beyond: ['sm.head-off'],
    bands: { ...shared.bands, 'st.balance': bandOf.forwardBalance },
    chain: ['sm.range', 'sm.head-off'],
    risk: 'Head off the line, yet no overhand.',
  },
  {
    ...shared,
    id: 'jab-cross-closed-side',
    name: 'Jab–cross to the closed side',
    alsoSaid: ['lateral one-two'],
    beyond: ['pv.first-foot', 'pv.recover', 'pv.land'],
    chain: ['pv.first-foot', 'pv.recover'],
    risk: 'Crossing the feet in range.',
  },
  {
    ...shared,
    id: 'jab-cross-open-side',
    name: 'Jab–cross to the open side',
    alsoSaid: ['one-two to the power side'],
    beyond: ['pv.first-foot', 'pv.recover'],
    chain: ['pv.first-foot', 'pv.sync'],
    risk: 'Walks towards the partner’s strong hand.',
  },
  {
    ...shared,
    id: 'jab-cross-back',
    name: 'Jab–cross going back',
    alsoSaid: ['retreating one-two'],
    beyond: ['pv.first-foot', 'pv.recover'],
    chain: ['st.balance', 'pv.first-foot'],
    risk: 'Weight on the heels.',
  },
  {
    ...shared,
    id: 'jab-cross-drive',
    name: 'Jab–cross with a drive',
    alsoSaid: ['drive in one-two'],
    beyond: ['pv.drive'],
    chain: ['sm.range', 'st.balance'],
    risk: 'A cross in the air lands with the arm alone.',
  },
] as const satisfies readonly TechniqueRow[];
