import { bandOf, type TechniqueRow } from './row.ts';

const noPivot = { pivot: 'No foot has to turn for it.' };

export const hands = [
  {
    id: 'jab', name: 'Jab', kind: 'hand', side: 'lead', range: 'long', alsoSaid: ['straight lead', 'lead straight'],
    lists: ['base', 'hand', 'straight', 'jab'], beyond: [], zones: ['face', 'chin'],
    chain: ['pv.step-size', 'sm.range', 'gd.return-line'],
    risk: 'Locked at full speed the elbow takes the blow.', usualOut: 160, usualReturn: 220,
  },
  {
    id: 'cross', name: 'Cross', kind: 'hand', side: 'rear', range: 'long',
    alsoSaid: ['straight rear', 'straight right', 'straight left', 'right hand', 'rear hand', 'backhand', 'rear straight'],
    lists: ['base', 'hand', 'straight', 'cross'], beyond: [],
    bands: { 'st.balance': bandOf.rearBalance, 'pv.rear-turn': bandOf.rearTurn, 'sm.rotation': bandOf.bodyTurn }, zones: ['face', 'chin'],
    chain: ['st.heels', 'pv.rear-turn', 'sm.hip-stop', 'sm.rotation'],
    risk: 'Locked elbow; bent wrist.', usualOut: 190, usualReturn: 280,
  },
  {
    id: 'lead-hook', name: 'Lead hook', kind: 'hand', side: 'lead', range: 'middle', alsoSaid: ['left hook'],
    lists: ['base', 'hand', 'hook'], beyond: ['pv.lead-turn'],
    bands: { 'sm.hook-angle': bandOf.hookElbow, 'sm.range': bandOf.hookReach, 'pv.lead-turn': bandOf.leadTurn, 'sm.rotation': bandOf.bodyTurn },
    zones: ['temple', 'chin'], chain: ['st.balance', 'pv.lead-turn', 'sm.rotation', 'sm.hook-width'],
    risk: 'A lead foot that stays planted lets the knee take the turn.', usualOut: 190, usualReturn: 270,
  },
  {
    id: 'rear-hook', name: 'Rear hook', kind: 'hand', side: 'rear', range: 'middle', alsoSaid: ['right hook'],
    lists: ['base', 'hand', 'hook'], beyond: ['pv.rear-turn'],
    bands: { 'sm.hook-angle': bandOf.hookElbow, 'sm.range': bandOf.hookReach, 'pv.rear-turn': bandOf.rearTurn, 'sm.rotation': bandOf.bodyTurn },
    zones: ['temple', 'chin'], chain: ['st.heels', 'pv.rear-turn', 'sm.rotation', 'sm.hook-width'],
    risk: 'Elbow below the fist loads the wrist sideways.', usualOut: 210, usualReturn: 290,
  },
  {
    id: 'lead-uppercut', name: 'Lead uppercut', kind: 'hand', side: 'lead', range: 'close', alsoSaid: ['left uppercut'],
    lists: ['base', 'hand', 'uppercut'], beyond: [],
    bands: { 'sm.load': bandOf.loadedKnee, 'sm.range': bandOf.uppercutReach, 'sm.rotation': bandOf.smallTurn }, zones: ['chin', 'solar plexus'],
    chain: ['st.knees', 'sm.load', 'sm.uppercut-path'],
    risk: 'At belt height it breaks wrists and rules.', without: { pivot: 'The lead foot may stay; the legs drive it up.' },
    usualOut: 200, usualReturn: 270,
  },
  {
    id: 'rear-uppercut', name: 'Rear uppercut', kind: 'hand', side: 'rear', range: 'close', alsoSaid: ['right uppercut'],
    lists: ['base', 'hand', 'uppercut'], beyond: ['pv.rear-turn'],
    bands: { 'sm.load': bandOf.loadedKnee, 'sm.range': bandOf.uppercutReach, 'sm.rotation': bandOf.smallTurn, 'pv.rear-turn': bandOf.rearTurn },
    zones: ['chin', 'solar plexus'], chain: ['st.heels', 'sm.load', 'sm.uppercut-path'],
    risk: 'At belt height it breaks wrists and rules.', usualOut: 210, usualReturn: 280,
  },
  {
    id: 'overhand', name: 'Overhand', kind: 'hand', side: 'rear', range: 'middle', alsoSaid: ['looping rear hand', 'over the top'],
    lists: ['base', 'hand'], beyond: ['sm.head-off', 'sm.straight', 'sm.wrist', 'sm.through', 'pv.rear-turn', 'sm.rotation'],
    bands: { 'pv.rear-turn': bandOf.rearTurn, 'sm.rotation': bandOf.bodyTurn, 'sm.straight': { clean: [null, 0.3], watch: [null, 0.45] } },
    zones: ['face', 'temple'], chain: ['sm.head-off', 'sm.rotation', 'sm.straight'],
    risk: 'The lean makes the angle; a wide swing strains the shoulder.', usualOut: 220, usualReturn: 300,
  },
  {
    id: 'lead-overhand', name: 'Lead overhand', kind: 'hand', side: 'lead', range: 'middle', alsoSaid: ['lead over the top'],
    lists: ['base', 'hand'], beyond: ['sm.head-off', 'sm.hook-width', 'sm.wrist', 'pv.lead-turn'],
    bands: { 'pv.lead-turn': bandOf.leadTurn }, zones: ['temple'], chain: ['sm.head-off', 'pv.lead-turn', 'sm.hook-width'],
    risk: 'Planted lead foot twists the knee.', usualOut: 220, usualReturn: 300,
  },
  {
    id: 'body-jab', name: 'Body jab', kind: 'hand', side: 'lead', range: 'long', alsoSaid: ['jab to the body'],
    lists: ['base', 'hand'],
    beyond: ['sm.set-up', 'pv.outside-foot', 'sm.head-off', 'sm.level', 'sm.range', 'sm.wrist', 'gd.return-line', 'st.balance'],
    zones: ['solar plexus', 'ribs'], chain: ['st.knees', 'sm.level', 'sm.head-off'],
    risk: 'A bow at the waist meets a knee.', usualOut: 190, usualReturn: 270,
  },
  {
    id: 'body-straight', name: 'Body straight', kind: 'hand', side: 'rear', range: 'long', alsoSaid: ['cross to the body', 'body cross'],
    lists: ['base', 'hand'],
    beyond: [
      'sm.set-up', 'pv.outside-foot', 'sm.head-off', 'sm.level', 'sm.rotation', 'pv.rear-turn', 'sm.wrist', 'st.balance',
      'gd.return-line',
    ],
    bands: { 'st.balance': bandOf.rearBalance, 'pv.rear-turn': bandOf.rearTurn, 'sm.rotation': bandOf.bodyTurn }, zones: ['solar plexus', 'ribs'],
    chain: ['st.knees', 'sm.level', 'sm.head-off', 'ex.move'],
    risk: 'Straight back out of it is into the return: roll or smother.', usualOut: 210, usualReturn: 300,
  },
  {
    id: 'body-poke', name: 'Body poke', kind: 'hand', side: 'lead', range: 'long', alsoSaid: ['light body jab', 'touch to the body'],
    lists: ['base', 'hand'], beyond: ['sm.set-up', 'gd.return-line', 'sm.range'], zones: ['solar plexus'],
    chain: ['sm.range', 'gd.return-line'], risk: 'Eyes that follow it down miss the answer.', without: noPivot,
    usualOut: 150, usualReturn: 200,
  },
  {
    id: 'lead-body-hook', name: 'Lead body hook', kind: 'hand', side: 'lead', range: 'close', alsoSaid: ['liver hook', 'left hook to the body'],
    lists: ['base', 'hand', 'bodyHook'], beyond: ['pv.lead-turn'], bands: { 'pv.lead-turn': bandOf.leadTurn }, zones: ['ribs'],
    chain: ['st.knees', 'sm.level', 'sm.body-hook-order'],
    risk: 'Never behind the side seam, never below the belt line.', usualOut: 210, usualReturn: 280,
  },
  {
    id: 'rear-body-hook', name: 'Rear body hook', kind: 'hand', side: 'rear', range: 'close', alsoSaid: ['right hook to the body'],
    lists: ['base', 'hand', 'bodyHook'], beyond: ['pv.rear-turn'], bands: { 'pv.rear-turn': bandOf.rearTurn }, zones: ['ribs'],
    chain: ['st.knees', 'sm.level', 'sm.body-hook-order'],
    risk: 'Never behind the side seam, never below the belt line.', usualOut: 220, usualReturn: 290,
  },
  {
    id: 'rising-body-hook', name: 'Rising body hook', kind: 'hand', side: 'lead', range: 'close', alsoSaid: ['shovel hook'],
    lists: ['base', 'hand'], beyond: ['sm.level', 'sm.hook-angle', 'sm.target', 'sm.wrist'],
    bands: { 'sm.hook-angle': bandOf.risingElbow }, zones: ['ribs', 'solar plexus'], chain: ['st.knees', 'sm.level', 'sm.target'],
    risk: 'Curls up under the ribs; too low it is a foul.', without: noPivot, usualOut: 210, usualReturn: 280,
  },
  {
    id: 'double-lead-hook', name: 'Double lead hook', kind: 'hand', side: 'lead', range: 'middle', alsoSaid: ['hook low, hook high', 'double hook'],
    lists: ['base', 'hand', 'bodyHook', 'hook'], beyond: ['pv.lead-turn'],
    bands: { 'sm.hook-angle': bandOf.hookElbow, 'sm.range': bandOf.hookReach, 'pv.lead-turn': bandOf.leadTurn, 'sm.rotation': bandOf.bodyTurn },
    zones: ['ribs', 'temple'], chain: ['sm.level', 'sm.hook-width', 'sm.rotation'],
    risk: 'Swinging wide between the two leaves the chin open twice.', usualOut: 450, usualReturn: 280,
  },
  {
    id: 'elbow', name: 'Elbow', kind: 'elbow', side: 'both', range: 'close', alsoSaid: ['elbow strike'],
    lists: ['base', 'hand'], beyond: ['el.close', 'sm.rotation'], bands: { 'el.close': bandOf.elbowReach, 'sm.rotation': bandOf.bodyTurn }, zones: ['temple', 'chin'],
    chain: ['pv.first-foot', 'el.close', 'sm.rotation'], risk: 'On pads only with the other hand behind the pad.',
    without: noPivot, usualOut: 190, usualReturn: 260,
  },
] as const satisfies readonly TechniqueRow[]; // prettier-ignore
