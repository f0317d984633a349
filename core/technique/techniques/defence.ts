import { bandOf, type TechniqueRow } from './row.ts';

const defence = {
  kind: 'defence',
  side: 'both',
  range: 'any',
  lists: ['base', 'defence'],
  zones: [],
  usualOut: 220,
  usualReturn: 320,
} as const;
const noFeet = { pivot: 'The feet stay where they are.' };
const noStrike = { strike: 'Nothing is struck; the answer is judged as its own technique.' };
const none = { ...noFeet, ...noStrike };

/** Each has a follow-up window where the drill asks for an answer. */
export const followUpWithin = 700;

/** What is done against a strike. */
export const defences = [
  {
    ...defence,
    id: 'slip',
    name: 'Slip',
    alsoSaid: ['head off line', 'crunch'],
    beyond: ['df.slip'],
    chain: ['st.knees', 'df.slip'],
    risk: 'Eyes down walk into the next one.',
    without: none,
  },
  {
    ...defence,
    id: 'roll',
    name: 'Roll',
    alsoSaid: ['shoulder roll', 'roll out'],
    beyond: ['df.weave'],
    chain: ['st.knees', 'df.weave'],
    risk: 'A bow shows the back of the head.',
    without: none,
  },
  {
    ...defence,
    id: 'weave',
    name: 'Weave',
    alsoSaid: ['bob and weave', 'duck under', 'roll under'],
    beyond: ['df.weave', 'pv.no-cross'],
    chain: ['st.knees', 'df.weave'],
    risk: 'Bent at the waist it meets a knee.',
    without: noStrike,
  },
  {
    ...defence,
    id: 'pull-back',
    name: 'Pull-back',
    alsoSaid: ['lean back', 'step back out', 'fade'],
    lists: ['baseWithoutLean', 'defence'],
    beyond: ['df.pull-back', 'st.balance', 'pv.recover'],
    chain: ['st.balance', 'df.pull-back'],
    risk: 'A bent back has nowhere left to go.',
    without: noStrike,
  },
  {
    ...defence,
    id: 'parry',
    name: 'Parry',
    alsoSaid: ['catch and push', 'deflect'],
    beyond: ['df.parry', 'gd.other-hand'],
    chain: ['gd.height', 'df.parry'],
    risk: 'A hand that reaches is not home.',
    without: none,
  },
  {
    ...defence,
    id: 'high-block',
    name: 'High block',
    alsoSaid: ['cover', 'shield up', 'block'],
    beyond: ['df.block'],
    chain: ['gd.elbows', 'df.block'],
    risk: 'A glove over the eyes hides the next one.',
    without: none,
  },
  {
    ...defence,
    id: 'shin-check',
    name: 'Shin check',
    alsoSaid: ['check', 'leg block'],
    beyond: ['df.check', 'gd.kick-hand', 'st.balance'],
    chain: ['st.balance', 'df.check'],
    risk: 'The knee must not be what is hit.',
    without: none,
  },
  {
    ...defence,
    id: 'catch-kick',
    name: 'Catch a kick',
    alsoSaid: ['catch', 'clamp'],
    beyond: ['df.catch', 'gd.other-hand'],
    chain: ['gd.height', 'df.catch'],
    risk: 'Reaching low puts the chin out.',
    without: none,
  },
  {
    ...defence,
    id: 'level-follow',
    name: 'Follow the level',
    alsoSaid: ['go down with them'],
    beyond: ['df.level'],
    chain: ['st.knees', 'df.level'],
    risk: 'Over a lower partner the overhand comes.',
    without: none,
  },
  {
    ...defence,
    id: 'sprawl',
    name: 'Sprawl',
    alsoSaid: ['hips down'],
    beyond: ['df.sprawl', 'df.distance'],
    bands: { 'st.lean': bandOf.sprawlLean, 'st.chin': bandOf.sprawlChin },
    chain: ['df.distance', 'df.sprawl'],
    risk: 'Face down on the floor.',
    without: none,
  },
] as const satisfies readonly TechniqueRow[];
