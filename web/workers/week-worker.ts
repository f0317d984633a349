import { isClosed, type Closure } from '@wax-fist/core/syllabus';
import { planWeek, type WeekPerson } from '@wax-fist/core/plan';

/** Takes people and the days on which the club is closed; tells the week planned for all of them. */
self.onmessage = ({ data: { people, closures } }: MessageEvent<{ people: WeekPerson[]; closures: Closure[] }>) =>
  self.postMessage(planWeek(people, (day) => !isClosed(closures, day)));
