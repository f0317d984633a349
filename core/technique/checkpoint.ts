import type { Family, Phase, Severity, WalkStop } from './family.ts';
import { views, type View } from './view.ts';

/** One observable thing with a clean-or-fault decision. */
export interface Checkpoint {
  id: string;
  family: Family;
  /** Where the eye goes for it. */
  stop: WalkStop;
  /** The still that shows it best. */
  phase: Phase;
  /** Two or three words for charts and rows. */
  name: string;
  question: string;
  clean: string;
  faults: readonly string[];
  why: string;
  /** Short enough to be shouted. At least one. */
  cues: readonly string[];
  severity: Severity;
  /** Views from which it can be judged. */
  views: readonly View[];
}

const sides: readonly View[] = ['lead-side', 'rear-side'];
const across: readonly View[] = ['front', 'rear'];
const everywhere: readonly View[] = views;

const table = [
  {
    id: 'st.width', family: 'stance', stop: 'feet', phase: 'ready', name: 'Stance width',
    question: 'Feet about a shoulder apart?',
    clean: 'Each foot under its own shoulder, seen from the front.',
    faults: ['on a tightrope', 'too wide'],
    why: 'On a line there is nothing to stop a push; too wide and every step starts late.',
    cues: ['Two rails, one foot on each'], severity: 'base', views: across,
  },
  {
    id: 'st.heels', family: 'stance', stop: 'feet', phase: 'ready', name: 'Rear heel',
    question: 'Rear heel off the floor, weight on the balls?',
    clean: 'A gap under the rear heel before and after the strike.',
    faults: ['flat rear foot', 'on the heels'],
    why: 'A flat rear foot cannot push, so the arm has to do the work.',
    cues: ['Keep paper-room under the heel'], severity: 'power', views: sides,
  },
  {
    id: 'st.knees', family: 'stance', stop: 'feet', phase: 'ready', name: 'Soft knees',
    question: 'Knees soft?',
    clean: 'Both knees a little bent, springy.',
    faults: ['locked', 'squatting'],
    why: 'Straight legs cannot give or push; a squat is slow.',
    cues: ['Knees like springs'], severity: 'base', views: [...sides, 'quarter'],
  },
  {
    id: 'pv.sync', family: 'pivot', stop: 'feet', phase: 'contact', name: 'Foot with fist',
    question: 'Do foot and fist land together?',
    clean: 'The stepping foot is down in the instant the glove touches.',
    faults: ['foot early', 'foot late', 'punch while floating'],
    why: 'A punch thrown in the air carries only the arm.',
    cues: ['One sound, not two'], severity: 'power', views: everywhere,
  },
  {
    id: 'pv.rear-turn', family: 'pivot', stop: 'feet', phase: 'contact', name: 'Rear foot turns',
    question: 'Does the rear foot turn on its ball?',
    clean: 'Heel up and out, toes towards the target by contact.',
    faults: ['flat rear foot', 'dragged', 'turns after contact'],
    why: 'Without the turn the hip stays behind and the shoulder pays for it.',
    cues: ['Screw the ball of the foot in', 'Heel to the wall behind you'], severity: 'power',
    views: [...sides, 'quarter', 'rear'],
  },
  {
    id: 'pv.rear-slide', family: 'pivot', stop: 'feet', phase: 'contact', name: 'Rear foot stays',
    question: 'Does the rear foot stay behind?',
    clean: 'The ball of the rear foot turns on its spot.',
    faults: ['slides through and stays', 'falls in'],
    why: 'Feet that end up level leave nothing to stand on when the answer comes.',
    cues: ['Leave the foot at home'], severity: 'exposure', views: sides,
  },
  {
    id: 'st.balance', family: 'stance', stop: 'hips', phase: 'contact', name: 'Weight between feet',
    question: 'Weight between the feet?',
    clean: 'Could stop here without a step.',
    faults: ['hanging over the front knee', 'sitting back'],
    why: 'Whoever hangs on the strike falls when it misses.',
    cues: ['Nose behind the knee'], severity: 'base', views: sides,
  },
  {
    id: 'st.lean', family: 'stance', stop: 'hips', phase: 'contact', name: 'Hips under shoulders',
    question: 'Hips under the shoulders?',
    clean: 'A slight tilt forward as one piece.',
    faults: ['hips pushed back', 'folded at the waist', 'leaning back'],
    why: 'Hips poked back take the legs out of the strike and offer the head.',
    cues: ['Belt over laces'], severity: 'base', views: sides,
  },
  {
    id: 'pv.knee-elbow', family: 'pivot', stop: 'hips', phase: 'launch', name: 'Knee with elbow',
    question: 'Rear knee drives with the rear elbow?',
    clean: 'Knee and elbow leave together.',
    faults: ['dead back leg', 'hips left behind'],
    why: 'The leg starts the strike; when it is late the arm goes alone.',
    cues: ['Knee and elbow on one string'], severity: 'power', views: [...sides, 'quarter'],
  },
  {
    id: 'sm.rotation', family: 'strike', stop: 'hips', phase: 'contact', name: 'Turn and turn back',
    question: 'Do hips and shoulders turn, and turn back?',
    clean: 'The rear shoulder passes the lead one, then the body winds back to stance.',
    faults: ['arm only', 'last turn missing'],
    why: 'The way back is the next strike and the way home for the guard.',
    cues: ['Swap shoulders, swap back'], severity: 'power', views: ['front', 'quarter'],
  },
  {
    id: 'sm.hip-stop', family: 'strike', stop: 'hips', phase: 'contact', name: 'Hip stops with fist',
    question: 'Does the hip arrive with the fist, and stop?',
    clean: 'Hip and glove stop in the same instant.',
    faults: ['late hip', 'pushing through'],
    why: 'A hip that keeps going turns a punch into a push.',
    cues: ['Slam the door and leave it'], severity: 'power', views: [...sides, 'quarter'],
  },
  {
    id: 'sm.telegraph', family: 'strike', stop: 'striking hand', phase: 'launch', name: 'No warning',
    question: 'Does nothing move before the strike?',
    clean: 'The glove leaves from where it rests.',
    faults: ['draws back', 'drops first', 'twitch', 'lean'],
    why: 'Anything that moves first tells the partner what is coming.',
    cues: ['Go from where you are'], severity: 'exposure', views: [...sides, 'quarter', 'front'],
  },
  {
    id: 'sm.straight', family: 'strike', stop: 'striking hand', phase: 'contact', name: 'Straight line',
    question: 'Does the fist go straight down the middle?',
    clean: 'Elbow behind the glove all the way to the centre line.',
    faults: ['drifts across', 'loops', 'elbow flies out'],
    why: 'The straight line is the shortest and leaves no gap inside it.',
    cues: ['Elbow brushes the rib'], severity: 'power', views: ['front', 'quarter', ...sides],
  },
  {
    id: 'sm.turnover', family: 'strike', stop: 'striking hand', phase: 'contact', name: 'Fist turns over',
    question: 'Does the fist turn over into contact?',
    clean: 'Palm down as it lands, first two knuckles.',
    faults: ['flat fist', 'slap'],
    why: 'The turn lines knuckles, wrist and forearm up behind the blow.',
    cues: ['Pour the glass out'], severity: 'power', views: ['front', 'quarter'],
  },
  {
    id: 'sm.wrist', family: 'strike', stop: 'striking hand', phase: 'contact', name: 'Wrist in line',
    question: 'Wrist in line with the forearm?',
    clean: 'A ruler would lie flat from elbow to knuckles.',
    faults: ['bent up', 'bent down', 'bent sideways'],
    why: 'A bent wrist breaks before the bag does.',
    cues: ['Knuckles, wrist, elbow: one stick'], severity: 'injury', views: [...sides, 'quarter'],
  },
  {
    id: 'sm.extension', family: 'strike', stop: 'striking hand', phase: 'contact', name: 'Arm at contact',
    question: 'Is the arm as long at contact as your club teaches?',
    clean: 'Long, and never locked hard.',
    faults: ['short', 'locked out'],
    why: 'Too short pushes; locked at full speed, the elbow takes the blow.',
    cues: ['Long arm, soft lock'], severity: 'power', views: [...sides, 'quarter'],
  },
  {
    id: 'sm.range', family: 'strike', stop: 'striking hand', phase: 'contact', name: 'Right distance',
    question: 'Right distance for a straight?',
    clean: 'The glove lands near the end of its reach, without falling in.',
    faults: ['smothered', 'reaching', 'falling in'],
    why: 'From too close the arm never opens; from too far the body follows the fist.',
    cues: ['Touch with the last inch'], severity: 'base', views: [...sides, 'quarter'],
  },
  {
    id: 'sm.snap', family: 'strike', stop: 'striking hand', phase: 'contact', name: 'Snap',
    question: 'Out fast, touch, back as fast?',
    clean: 'The glove is on its way home before the bag has moved.',
    faults: ['push', 'leaning in', 'hand stays'],
    why: 'A hand left out there is a guard left open.',
    cues: ['Touch the stove'], severity: 'power', views: [...sides, 'quarter', 'front'],
  },
  {
    id: 'gd.return-line', family: 'guard', stop: 'striking hand', phase: 'home', name: 'Return line',
    question: 'Does the hand come home on the line it went out?',
    clean: 'Straight back to the cheek, at chin height all the way.',
    faults: ['drop return', 'left out', 'comes back wide'],
    why: 'The moment after a straight is when the counter comes over a low hand.',
    cues: ['Touch home', 'Back along the rope'], severity: 'exposure', views: [...sides, 'quarter'],
  },
  {
    id: 'gd.height', family: 'guard', stop: 'other hand', phase: 'ready', name: 'Hands at the line',
    question: 'Both hands at the guard line when not striking?',
    clean: 'Gloves where your club wants them, before and after.',
    faults: ['hands low', 'too far out', 'blocking own eyes'],
    why: 'What is not up when it starts will not be up in time.',
    cues: ['Phone to both ears'], severity: 'exposure', views: ['front', ...sides, 'quarter'],
  },
  {
    id: 'gd.elbows', family: 'guard', stop: 'other hand', phase: 'ready', name: 'Elbows in',
    question: 'Elbows in, over the ribs?',
    clean: 'Forearms upright, no daylight between elbow and rib.',
    faults: ['flared elbows', 'A-frame'],
    why: 'Wide elbows open the body and bend every straight.',
    cues: ['Hide the ribs'], severity: 'exposure', views: across,
  },
  {
    id: 'gd.other-hand', family: 'guard', stop: 'other hand', phase: 'contact', name: 'Other hand home',
    question: 'Does the other hand stay home?',
    clean: 'Glove on the cheek from launch to return.',
    faults: ['drops', 'pulls away', 'reaches'],
    why: 'The side that is not striking is the side that gets hit.',
    cues: ['Glue it to the cheek'], severity: 'exposure', views: ['front', ...sides, 'quarter'],
  },
  {
    id: 'st.chin', family: 'stance', stop: 'head', phase: 'contact', name: 'Chin down',
    question: 'Chin down?',
    clean: 'Eyes look out under the brows.',
    faults: ['chin up', 'chin leading'],
    why: 'A raised chin turns a touch into a knock-down.',
    cues: ['Hold the tennis ball'], severity: 'exposure', views: [...sides, 'quarter'],
  },
  {
    id: 'gd.cover', family: 'guard', stop: 'head', phase: 'contact', name: 'Shoulder covers chin',
    question: 'Does the shoulder cover the chin at contact?',
    clean: 'The striking shoulder touches the chin.',
    faults: ['shoulder low', 'chin open'],
    why: 'The arm that strikes has left; its shoulder has to take over.',
    cues: ['Chin behind the shoulder'], severity: 'exposure', views: [...sides, 'front'],
  },
  {
    id: 'sm.breath', family: 'strike', stop: 'head', phase: 'contact', name: 'Breath',
    question: 'A short breath out with the strike?',
    clean: 'A hiss with every glove that lands.',
    faults: ['holds breath'],
    why: 'Held breath stiffens the shoulders and empties the tank.',
    cues: ['Hiss it'], severity: 'polish', views: everywhere,
  },
  {
    id: 'ex.move', family: 'exit', stop: 'after', phase: 'exit', name: 'Leaves after the last',
    question: 'Does something happen after the last strike?',
    clean: 'A step, a roll, an angle: not standing there.',
    faults: ['admires the work', 'straight back into the return'],
    why: 'The partner answers where you stood.',
    cues: ['Hit and be gone'], severity: 'exposure', views: everywhere,
  },
  {
    id: 'ex.reset', family: 'exit', stop: 'after', phase: 'exit', name: 'Back to base',
    question: 'Back in stance and guard quickly?',
    clean: 'The same picture as before the strike within a breath.',
    faults: ['square', 'narrow', 'hands low'],
    why: 'The next strike is as good as the place it starts from.',
    cues: ['End as you began'], severity: 'base', views: everywhere,
  },
] as const satisfies readonly Checkpoint[]; // prettier-ignore

export type CheckpointId = (typeof table)[number]['id'];

export const checkpoints: readonly (Checkpoint & { id: CheckpointId })[] = table;

const byId = new Map<string, Checkpoint & { id: CheckpointId }>(table.map((checkpoint) => [checkpoint.id, checkpoint]));

export const isCheckpointId = (id: string): id is CheckpointId => byId.has(id);

/** The checkpoint with this id. @throws RangeError for an id that is not in the catalogue. */
export function checkpoint(id: string): Checkpoint & { id: CheckpointId } {
  const found = byId.get(id);
  if (!found) throw new RangeError(`There is no checkpoint “${id}”.`);
  return found;
}
