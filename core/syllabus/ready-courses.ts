import type { Course, CourseWeek } from './course.ts';

const week = (says: string, ...techniques: string[]): CourseWeek => ({ techniques, says });
const idOf = (kind: 'course' | 'set', place: number): string =>
  `0190c0de-0000-7000-8000-0000000000${kind === 'course' ? 'c' : '5'}${place}`;

/** A syllabus to begin with: a club takes it over and changes it. */
export const readyCourses: readonly Course[] = [
  {
    id: idOf('course', 1),
    name: 'First course',
    leadsTo: 'improver',
    weeks: [
      week('Stand, guard, and come back to it', 'jab'),
      week('The fist goes home the way it came', 'jab', 'step-and-recover'),
      week('The rear foot turns', 'cross'),
      week('One after the other, both feet in time', 'jab', 'cross'),
      week('Elbow and fist at one height', 'lead-hook'),
      week('Out of the line, and back to the stance', 'slip', 'step-back'),
      week('The set, slowly and said aloud', 'jab', 'cross', 'lead-hook'),
      week('The set at speed; what the test asks', 'jab', 'cross', 'lead-hook'),
    ],
    sets: [{ id: idOf('set', 1), name: 'First set', recipe: 'jab, cross, lead hook, cross' }],
    mustHaves: [
      { technique: 'jab', checkpointId: 'gd.return-line', rung: 3 },
      { technique: 'jab', checkpointId: 'gd.other-hand', rung: 3 },
      { technique: 'cross', checkpointId: 'pv.rear-turn', rung: 3 },
    ],
    ...{ passMark: 0.8, bothLeads: false, credits: 12, creditsAWeek: 2 },
  },
  {
    id: idOf('course', 2),
    name: 'Second course',
    leadsTo: 'improver',
    weeks: [
      week('Elbow and fist at one height, stopped in the middle', 'lead-hook', 'rear-hook'),
      week('From the legs, close up', 'lead-uppercut', 'rear-uppercut'),
      week('Down first, then the strike', 'body-jab', 'body-straight'),
      week('Under it, and up with an answer', 'weave', 'lead-hook'),
      week('The standing foot turns', 'rear-round'),
      week('Straight kicks: knee first', 'push-kick'),
      week('The other foot in front', 'jab', 'cross'),
      week('Hands into a kick', 'jab', 'cross', 'rear-round'),
      week('The set with either foot in front', 'weave', 'body-straight'),
      week('The set when tired; what the test asks', 'rear-round', 'cross'),
    ],
    sets: [
      { id: idOf('set', 1), name: 'First set', recipe: 'jab, cross, lead hook, cross' },
      { id: idOf('set', 2), name: 'Second set', recipe: 'jab, body straight, lead hook, weave, cross, rear round kick' },
    ],
    mustHaves: [
      { technique: 'jab', checkpointId: 'gd.return-line', rung: 4 },
      { technique: 'cross', checkpointId: 'pv.rear-turn', rung: 4 },
      { technique: 'lead-hook', checkpointId: 'gd.other-hand', rung: 4 },
      { technique: 'rear-round', checkpointId: 'pv.support-turn', rung: 3 },
    ],
    ...{ passMark: 0.85, bothLeads: true, credits: 16, creditsAWeek: 2 },
  },
  {
    id: idOf('course', 3),
    name: 'Third course',
    leadsTo: 'advanced',
    weeks: [
      week('Over the guard', 'overhand', 'lead-overhand'),
      week('To the body with a hook', 'lead-body-hook', 'rear-body-hook'),
      week('Low and high with one hand', 'double-lead-hook'),
      week('Away, and back with an answer', 'pull-back', 'cross'),
      week('Either leg', 'lead-round', 'switch-round'),
      week('Off the line into a kick', 'step-off-round'),
      week('In the clinch of the bag', 'rear-knee', 'elbow'),
      week('Catch, parry, answer', 'parry', 'shin-check'),
      week('Pads, called', 'pad-called'),
      week('Pads, free', 'pad-free'),
      week('The set when tired', 'step-off-round', 'lead-body-hook'),
      week('What the test asks', 'pad-free'),
    ],
    sets: [
      {
        id: idOf('set', 3),
        name: 'Third set',
        recipe: 'jab, cross, lead hook, lead hook, weave, weave, rear uppercut, rear uppercut, step-off round kick',
      },
    ],
    mustHaves: [
      { technique: 'jab', checkpointId: 'gd.return-line', rung: 6 },
      { technique: 'cross', checkpointId: 'gd.other-hand', rung: 6 },
      { technique: 'lead-body-hook', checkpointId: 'sm.level', rung: 4 },
      { technique: 'rear-round', checkpointId: 'kk.return', rung: 5 },
    ],
    ...{ passMark: 0.85, bothLeads: true, credits: 24, creditsAWeek: 3 },
  },
];
