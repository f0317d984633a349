import type { RoundKind } from '../rounds/index.ts';
import type { TechniqueId } from '../technique/index.ts';

/** How one technique is held for. */
export interface PadRow {
  techniques: readonly TechniqueId[];
  /** What is called in a word. */
  name: string;
  on: RoundKind;
  held: string;
  where: string;
  feet: string;
  protect: string;
}

const square = 'Holder in stance, same lead as the striker, weight between the feet';
const braced = 'Holder in stance, rear foot braced behind';

/** Which pad for what, held how. Pads stay near the middle of the body, and the head stays clear of them. */
export const padTable: readonly PadRow[] = [
  {
    ...{ techniques: ['jab', 'body-poke'], name: 'Jab', on: 'focus mitts', held: 'Palm to the striker, wrist straight' },
    ...{ where: 'Holder’s own chin line, a hand inside the shoulder', feet: square, protect: 'Holder’s elbow: never locked' },
  },
  {
    ...{ techniques: ['cross', 'overhand'], name: 'Cross', on: 'focus mitts', held: 'Palm to the striker, short press into it' },
    ...{ where: 'The other pad, as near to the middle', feet: square, protect: 'Holder’s shoulder: the pad does not reach out' },
  },
  {
    ...{
      techniques: ['lead-hook', 'rear-hook', 'lead-overhand'],
      name: 'Hooks',
      on: 'focus mitts',
      held: 'Palm turned inward, thumb up',
    },
    ...{ where: 'Beside the chin, not wide of the shoulder', feet: square, protect: 'Holder’s face: the pad is never before it' },
  },
  {
    ...{ techniques: ['lead-uppercut', 'rear-uppercut'], name: 'Uppercuts', on: 'focus mitts', held: 'Palm down, elbow in' },
    ...{ where: 'Below the chin, over the middle', feet: square, protect: 'Holder’s chin: leaning over the pad meets the fist' },
  },
  {
    ...{ techniques: ['lead-body-hook', 'rear-body-hook', 'rising-body-hook'], name: 'Body hooks', on: 'body shield' },
    ...{ held: 'Strapped or pressed to the ribs', where: 'Lower ribs, above the belt', feet: braced },
    protect: 'Holder’s breath: breathe out as it lands',
  },
  {
    ...{
      techniques: ['body-jab', 'body-straight'],
      name: 'Straights to the body',
      on: 'focus mitts',
      held: 'Palm to the striker',
    },
    ...{
      where: 'Solar plexus, on the middle line',
      feet: square,
      protect: 'Striker’s knees: the pad is not held lower than plexus',
    },
  },
  {
    ...{ techniques: ['elbow'], name: 'Elbows', on: 'Thai pads', held: 'Both together, forearms upright' },
    ...{ where: 'Beside the head', feet: square, protect: 'Holder’s face stays behind the pads' },
  },
  {
    ...{
      techniques: ['rear-round', 'lead-round', 'switch-round', 'step-off-round', 'alternating-round'],
      name: 'Round kicks',
      on: 'Thai pads',
    },
    ...{ held: 'Both together as one, turned half to the kick, elbows in', where: 'Ribs, against the body' },
    ...{ feet: braced, protect: 'Holder’s forearms: one pad alone bends the wrist' },
  },
  {
    ...{ techniques: ['rising-45'], name: 'Rising 45 kick', on: 'kick shield', held: 'Tilted half a right angle, face down' },
    ...{ where: 'Below the elbow line', feet: braced, protect: 'Striker’s shin: no edge of the shield' },
  },
  {
    ...{ techniques: ['low-kick'], name: 'Low kick', on: 'kick shield', held: 'Upright against the thigh' },
    ...{
      where: 'Outside of the lead thigh, never the knee',
      feet: 'Weight on the other leg',
      protect: 'Holder’s knee: slightly bent, turned with the kick',
    },
  },
  {
    ...{ techniques: ['push-kick', 'thrust-kick', 'side-kick'], name: 'Push, thrust and side kicks', on: 'kick shield' },
    ...{ held: 'Flat, both arms through the straps, against the belly', where: 'Belly, above the belt' },
    ...{ feet: 'Ready to step back with it', protect: 'Holder’s wrists: the shield is not caught with the hands' },
  },
  {
    ...{ techniques: ['stomp-kick'], name: 'Stomp kick', on: 'kick shield', held: 'On the floor, held from behind' },
    ...{ where: 'Floor before the holder', feet: 'Feet behind the shield', protect: 'Holder’s toes and knee' },
  },
  {
    ...{
      techniques: ['rear-knee', 'switch-knee'],
      name: 'Knees',
      on: 'Thai pads',
      held: 'Crossed, faces down, pressed to the belly',
    },
    ...{ where: 'Belly, above the belt', feet: braced, protect: 'Nothing is pulled down onto the knee' },
  },
  {
    ...{ techniques: ['slip', 'weave', 'parry', 'high-block'], name: 'Counters for defence', on: 'focus mitts' },
    ...{
      held: 'Loose, at the speed of a slow hand',
      where: 'To the guard, never to the face',
      feet: square,
      protect: 'No head contact with children',
    },
  },
];
