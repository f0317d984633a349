import { answerEndpoints, type LevelAnswer } from '@wax-fist/contract/answers';
import { correctionEndpoints, type Correction } from '@wax-fist/contract/corrections';
import { limitEndpoints, type Limit } from '@wax-fist/contract/limits';
import { everyRow } from '@wax-fist/contract/page';
import { syllabusEndpoints, type SavedCourse } from '@wax-fist/contract/syllabus';
import { traineeEndpoints, type Trainee } from '@wax-fist/contract/trainees';
import type { Circumstances } from '@wax-fist/core/drills';
import { inDueOrder } from '@wax-fist/core/correction';
import { filmingPlan, placeOf, type FilmingPlan, type FilmQuestion, type PlannedCorrection } from '@wax-fist/core/plan';
import { checkpointName, techniqueName, views, type Catalogue } from '@wax-fist/core/technique';
import { restsOn, type BodyPart } from '@wax-fist/core/trainee';
import { request } from '../../app/request.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { useDrills } from '../drills/drill-store.ts';
import type { PlanKit } from './plan-kit.ts';
import { adviceFor } from '../sessions/session-advice.ts';

/** What a session of somebody is planned from. */
export interface PlanGround {
  trainee: Trainee;
  corrections: readonly Correction[];
  /** What would settle them. */
  answers: readonly Pick<LevelAnswer, 'correctionId' | 'rung' | 'settling'>[];
  limits: readonly Limit[];
  /** On which course they are, and since when. */
  onCourse: { course: SavedCourse; begunOn: string } | undefined;
}

export async function groundOf(traineeId: string): Promise<PlanGround> {
  const params = { traineeId };
  const [trainee, corrections, limits, answers, place, courses] = await Promise.all([
    request(traineeEndpoints.showTrainee, { params }),
    everyRow((query) => request(correctionEndpoints.traineeCorrections, { params, query: { ...query, state: 'open' } })),
    request(limitEndpoints.traineeLimits, { params }),
    request(answerEndpoints.traineeAnswers, { params, query: {} }),
    request(syllabusEndpoints.showOnCourse, { params }),
    request(syllabusEndpoints.listCourses),
    useDrills().ready(),
    useCatalogue().ready(),
  ]);
  const course = place && courses.find(({ id }) => id === place.courseId);
  return { trainee, corrections, limits, answers, onCourse: course ? { course, begunOn: place.begunOn } : undefined };
}

/** Where somebody is hurt on a day. */
export const limitsOn = (limits: readonly Limit[], day: string): BodyPart[] => [
  ...new Set(limits.filter(({ since, until }) => since <= day && (!until || until >= day)).map(({ part }) => part)),
];

/** Whether somebody rests on a day after a blow to the head. */
const isAtRest = (limits: readonly Limit[], day: string): boolean =>
  limits.some(({ steps, since, until }) => since <= day && (!until || until >= day) && restsOn(steps, day));

/** Whom a session is for, and what is there; whoever is hurt on one of the days is spared on all of them. */
export const whoOf = (
  { trainee: { grade, ageGroup }, limits }: Pick<PlanGround, 'trainee' | 'limits'>,
  { kit, holder, partner }: Pick<PlanKit, 'kit' | 'holder' | 'partner'>,
  days: readonly string[],
): Circumstances => ({
  ...{ grade, ageGroup, kit: [...kit], holder, partner },
  limits: [...new Set(days.flatMap((day) => limitsOn(limits, day)))],
  rests: days.some((day) => isAtRest(limits, day)),
});

/** A trainee’s corrections as a session takes them up on a day, and where cameras stand for those that are looked at again. */
export interface Taken {
  corrections: (PlannedCorrection & { recheckOn: string | null; relapsed: boolean })[];
  filming: FilmingPlan;
}

/** Those that are due first, by why they are; then the others. */
export function takenUpOn(
  { trainee, corrections, answers }: PlanGround,
  catalogue: Catalogue,
  school: Parameters<typeof adviceFor>[0]['judgedBy'],
  day: string,
): Taken {
  const row = ({ checkpointId }: Correction) => catalogue.checkpoints.get(checkpointId);
  const isDue = ({ recheckOn, state }: Correction): boolean => state === 'relapsed' || (recheckOn !== null && recheckOn <= day);
  const due = inDueOrder(corrections.filter(isDue), (one) => row(one)?.severity, day).map(({ one }) => one);
  const all = [...due, ...corrections.filter((one) => !isDue(one) && one.state !== 'kept')];
  const { questions } = adviceFor({ trainee, judgedBy: school, films: [], heldOn: day }, catalogue, all);
  const filming = filmingPlan(
    questions.map(({ correction, everywhere }) => ({
      id: correction.id,
      from: Object.fromEntries(views.map((view) => [view, everywhere[view].settles])) as FilmQuestion['from'],
      rate: row(correction)?.leastRate ?? 0,
    })),
  );
  return {
    filming,
    corrections: all.map((one) => {
      const answer = answers.find(({ correctionId, rung }) => correctionId === one.id && rung === one.rung);
      return {
        ...{
          id: one.id,
          technique: one.technique,
          checkpointId: one.checkpointId,
          cue: one.cue,
          rung: one.rung,
          due: isDue(one),
        },
        techniqueName: techniqueName(catalogue, one.technique),
        checkpointName: checkpointName(catalogue, one.checkpointId),
        strikes: answer?.settling?.strikes ?? null,
        view: placeOf(filming, one.id)?.view ?? null,
        rate: row(one)?.leastRate ?? 0,
        ...{ recheckOn: one.recheckOn, relapsed: one.state === 'relapsed' },
      };
    }),
  };
}
