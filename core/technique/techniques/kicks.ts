import { bandOf, type TechniqueRow } from './row.ts';

/** A leg out in front, or to the side, is held up by a little lean back, when it is looked at as stance and as kick. */
const upright = { 'st.lean': bandOf.kickUpright, 'kk.upright': bandOf.kickUpright } as const;
const round = {
  kind: 'kick', range: 'long', lists: ['base', 'kick', 'round'], zones: ['ribs', 'temple'],
  bands: { ...upright, 'pv.support-turn': bandOf.fullSupport, 'sm.rotation': bandOf.bodyTurn, 'kk.through': bandOf.kickThrough },
  risk: 'A standing foot that does not turn twists the knee.', usualOut: 320, usualReturn: 480,
} as const; // prettier-ignore
const straightKick = {
  kind: 'kick',
  range: 'long',
  lists: ['base', 'kick'],
  bands: upright,
  usualOut: 340,
  usualReturn: 480,
} as const;
const noPivot = { pivot: 'The standing foot hardly turns; the hip goes straight in.' };

export const kicks = [
  { ...round, id: 'rear-round', name: 'Rear round kick', side: 'rear', alsoSaid: ['roundhouse', 'rear hook kick', 'turning kick', 'head kick', 'body kick'], beyond: [], chain: ['sm.telegraph', 'pv.support-turn', 'kk.level-leg'] },
  { ...round, id: 'lead-round', name: 'Lead round kick', side: 'lead', alsoSaid: ['lead roundhouse', 'lead turning kick'], beyond: [], chain: ['sm.telegraph', 'pv.support-turn', 'kk.level-leg'] },
  {
    id: 'rising-45', name: 'Rising 45 kick', kind: 'kick', side: 'rear', range: 'long', alsoSaid: ['45 kick', 'half-shin', 'up under the elbow'],
    lists: ['base', 'kick'], beyond: ['pv.support-turn', 'pv.calf', 'kk.path'],
    bands: { ...upright, 'pv.support-turn': bandOf.risingSupport, 'kk.path': bandOf.risingPath }, zones: ['ribs'],
    chain: ['pv.calf', 'kk.path', 'gd.kick-hand'], risk: 'Turned like a full round kick it lands on the elbow.',
    usualOut: 300, usualReturn: 430,
  },
  {
    id: 'low-kick', name: 'Low kick', kind: 'kick', side: 'rear', range: 'middle', alsoSaid: ['leg kick', 'thigh kick'],
    lists: ['base', 'kick'], beyond: ['pv.support-turn', 'kk.surface', 'sm.range'], bands: { ...upright, 'pv.support-turn': bandOf.fullSupport },
    zones: ['thigh'], chain: ['sm.range', 'kk.surface'], risk: 'Never to the knee joint.', usualOut: 290, usualReturn: 430,
  },
  { ...round, id: 'switch-round', name: 'Switch round kick', side: 'lead', alsoSaid: ['switch kick', 'hop step kick'], beyond: ['pv.switch'], chain: ['st.width', 'sm.telegraph', 'pv.support-turn'] },
  { ...round, id: 'step-off-round', name: 'Step-off round kick', side: 'rear', alsoSaid: ['side step kick', 'off kick'], beyond: ['kk.step-off'], chain: ['kk.step-off', 'pv.support-turn'] },
  { ...round, id: 'alternating-round', name: 'Alternating round kicks', side: 'both', alsoSaid: ['five each side', 'kicks left and right'], beyond: ['pv.switch'], chain: ['pv.switch', 'pv.support-turn'] },
  {
    ...straightKick, id: 'push-kick', name: 'Push kick', side: 'lead', alsoSaid: ['front kick', 'foot jab', 'teep'], beyond: ['kk.chamber', 'kk.surface', 'sm.range'],
    zones: ['solar plexus', 'hip'], chain: ['kk.chamber', 'kk.surface', 'kk.return'], risk: 'Toes first break toes.', without: noPivot,
  },
  {
    ...straightKick, id: 'thrust-kick', name: 'Thrust kick', side: 'rear', alsoSaid: ['rear push kick', 'rear front kick', 'rear teep'], beyond: ['kk.chamber', 'kk.surface', 'sm.range'],
    zones: ['solar plexus', 'hip'], chain: ['kk.chamber', 'kk.surface', 'kk.return'], risk: 'The holder takes it on a locked hip.', without: noPivot,
  },
  {
    ...straightKick, id: 'side-kick', name: 'Side kick', side: 'lead', alsoSaid: ['lifted side kick'], beyond: ['kk.chamber', 'kk.surface', 'pv.support-turn'],
    bands: { ...upright, 'pv.support-turn': bandOf.fullSupport }, zones: ['ribs', 'hip'], chain: ['kk.chamber', 'pv.support-turn', 'kk.return'],
    risk: 'Lift, aim, release, back; opened early it hits with the toes.',
  },
  {
    ...straightKick, id: 'stomp-kick', name: 'Stomp kick', side: 'rear', range: 'middle', alsoSaid: ['collapsing kick', 'low stomp'], beyond: ['kk.chamber', 'kk.through'], bands: { ...upright, 'kk.through': bandOf.kickThrough },
    zones: ['thigh', 'lower leg'], chain: ['kk.chamber', 'kk.through'], risk: 'On a pad that is held to the side only.', without: noPivot,
  },
  {
    id: 'rear-knee', name: 'Rear knee', kind: 'knee', side: 'rear', range: 'close', alsoSaid: ['straight knee'],
    lists: ['base', 'kick'], bands: upright, beyond: ['kn.drive', 'pv.calf'], zones: ['solar plexus', 'ribs'], chain: ['pv.calf', 'kn.drive'],
    risk: 'The knee pad stays off the holder’s ribs.', usualOut: 300, usualReturn: 420,
  },
  {
    id: 'switch-knee', name: 'Switch knee', kind: 'knee', side: 'lead', range: 'close', alsoSaid: ['hop knee'],
    lists: ['base', 'kick'], bands: upright, beyond: ['pv.switch', 'kn.drive'], zones: ['solar plexus', 'ribs'], chain: ['st.width', 'sm.telegraph', 'kn.drive'],
    risk: 'The holder steps back for it.', usualOut: 420, usualReturn: 420,
  },
] as const satisfies readonly TechniqueRow[]; // prettier-ignore
