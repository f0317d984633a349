import { bandOf, type TechniqueRow } from './row.ts';

const speedBag = {
  kind: 'bag', side: 'both', range: 'close', lists: ['base'], zones: [], chain: ['gd.fist-elbow-level', 'rh.even'],
  bands: { 'gd.elbows': bandOf.speedBagElbows },
  without: { pivot: 'The feet have no part in it.', exit: 'It goes on from beat to beat.' }, usualOut: 120, usualReturn: 160,
} as const; // prettier-ignore
const work = { kind: 'bag', side: 'both', zones: ['ribs', 'chin'], usualOut: 200, usualReturn: 280 } as const;

export const bagsAndPads = [
  { ...speedBag, id: 'speed-bag-front', name: 'Speed bag, front', alsoSaid: ['front beat'], beyond: ['gd.fist-elbow-level', 'sm.straight', 'rh.even', 'rh.sides'], risk: 'Too high a bag makes every strike go upwards.' },
  { ...speedBag, id: 'speed-bag-side', name: 'Speed bag, side', alsoSaid: ['side beat'], beyond: ['gd.fist-elbow-level', 'sm.range', 'rh.even', 'rh.sides'], bands: { 'gd.elbows': bandOf.speedBagElbows, 'sm.range': bandOf.uppercutReach }, risk: 'Arms held far out tire the shoulders.' },
  { ...speedBag, id: 'speed-bag-mix', name: 'Speed bag, front and side', alsoSaid: ['mixed beat'], beyond: ['gd.fist-elbow-level', 'sm.straight', 'rh.even', 'rh.sides'], bands: { 'gd.elbows': bandOf.speedBagElbows, 'sm.straight': bandOf.mixedPath }, risk: 'The elbow drops at the change.' },
  { ...work, id: 'uppercut-bag-set', name: 'Uppercut bag set', range: 'close', alsoSaid: ['five and five'], lists: ['base', 'hand', 'uppercut'], beyond: ['sm.hook-angle', 'pv.rear-turn', 'rh.recipe', 'rh.sides'], bands: { 'sm.load': bandOf.loadedKnee, 'sm.hook-angle': bandOf.hookElbow, 'sm.range': bandOf.hookReach, 'sm.rotation': bandOf.smallTurn, 'pv.rear-turn': bandOf.rearTurn }, chain: ['sm.load', 'sm.uppercut-path'], risk: 'Hooks on the open end, at head height.' },
  { ...work, id: 'rope-trap', name: 'Rope trap', range: 'middle', alsoSaid: ['back it up and hook'], lists: ['base', 'hand', 'hook'], beyond: ['pv.no-cross', 'ex.angle', 'rh.recipe'], bands: { 'sm.hook-angle': bandOf.hookElbow, 'sm.range': bandOf.hookReach, 'sm.rotation': bandOf.bodyTurn }, chain: ['pv.no-cross', 'ex.angle'], risk: 'Square in front of it one hits elbows.' },
  { ...work, id: 'swing-shuffle', name: 'Swing shuffle', range: 'middle', alsoSaid: ['shuffle with the bag'], lists: ['base', 'hand', 'hook'], beyond: ['pv.no-cross', 'st.length', 'rh.move', 'rh.sides'], bands: { 'sm.hook-angle': bandOf.hookElbow, 'sm.range': bandOf.hookReach, 'sm.rotation': bandOf.bodyTurn }, chain: ['st.knees', 'pv.no-cross'], risk: 'Upright legs are late at each end of the swing.' },
  { ...work, id: 'pad-called', name: 'Called pads', kind: 'pads', range: 'any', alsoSaid: ['structured pads', 'called round'], lists: ['base', 'hand', 'holder'], beyond: ['pv.no-cross', 'sm.target', 'sm.fist', 'sm.through', 'rh.recipe'], chain: ['ph.narrow', 'sm.target'], risk: 'Bad holding hurts two.' },
  { ...work, id: 'pad-free', name: 'Free pads', kind: 'pads', range: 'any', alsoSaid: ['unstructured pads', 'free round'], lists: ['base', 'hand', 'holder'], beyond: ['pv.no-cross', 'sm.target', 'sm.fist', 'ex.angle', 'ex.open-side', 'rh.combo', 'df.distance'], chain: ['ph.distinct', 'ex.move'], risk: 'Feeds only at agreed power.' },
  {
    id: 'holding', name: 'Holding pads', kind: 'holding', side: 'both', range: 'any', alsoSaid: ['pad holder', 'feeding', 'mitts', 'kicking pads', 'big pad', 'pillow', 'speed target'],
    lists: ['holder'], beyond: [], zones: [], chain: ['ph.firm', 'ph.angle'], risk: 'The holder’s head, elbows and ribs.',
    without: {
      stance: 'The holder’s own list is looked at instead.', pivot: 'The holder’s own list is looked at instead.',
      guard: 'The holder’s own list is looked at instead.', strike: 'The holder does not strike.',
      exit: 'The holder’s own list is looked at instead.',
    },
    usualOut: 200, usualReturn: 300,
  },
] as const satisfies readonly TechniqueRow[]; // prettier-ignore
