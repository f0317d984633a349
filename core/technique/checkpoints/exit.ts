import { across, everywhere, slow, type Checkpoint } from './row.ts';

export const exitCheckpoints = [
  {
    id: 'ex.move', family: 'exit', stop: 'after', phase: 'exit', subject: 'trainee', name: 'Leaves after the last',
    question: 'Does something happen after the last strike?',
    clean: 'A step, a roll, an angle: not standing there.',
    faults: ['admires the work', 'straight back into the return'],
    why: 'The partner answers where you stood.',
    cues: ['Hit and be gone'], severity: 'exposure', views: everywhere,
    measure: 'exit-time', leastRate: slow, causes: ['st.balance'],
  },
  {
    id: 'ex.angle', family: 'exit', stop: 'after', phase: 'exit', subject: 'trainee', name: 'Off the line',
    question: 'Does the head leave the centre line as the feet go?',
    clean: 'Out at an angle, head first off the line.',
    faults: ['leaves in a straight line', 'head stays'],
    why: 'Straight back is the line of the long counter.',
    cues: ['Leave through the side door'], severity: 'exposure', views: across,
    measure: 'head-offset', leastRate: slow, causes: ['ex.move'],
  },
  {
    id: 'ex.open-side', family: 'exit', stop: 'after', phase: 'exit', subject: 'trainee', name: 'Shuts the open side',
    question: 'Is the side that the last strike opened shut first?',
    clean: 'After a cross the rear side goes under cover first.',
    faults: ['covers the wrong side'],
    why: 'The answer comes through the door that was left open.',
    cues: ['Shut the door you opened'], severity: 'exposure', views: ['front'],
    measure: 'eye', leastRate: slow, causes: ['gd.return-line'],
  },
  {
    id: 'ex.reset', family: 'exit', stop: 'after', phase: 'exit', subject: 'trainee', name: 'Back to base',
    question: 'Back in stance and guard quickly?',
    clean: 'The same picture as before the strike within a breath.',
    faults: ['square', 'narrow', 'hands low'],
    why: 'The next strike is as good as the place it starts from.',
    cues: ['End as you began'], severity: 'base', views: everywhere,
    measure: 'time-to-base', leastRate: slow, causes: ['gd.return-line', 'st.balance'],
  },
] as const satisfies readonly Checkpoint[]; // prettier-ignore
