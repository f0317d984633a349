import { eightCall, parseCombination, techniquesOf } from '../calls/index.ts';
import { daysBetween, weekOf } from '../days.ts';
import { checklistFor, usualSchool, type Catalogue, type CheckpointId, type TechniqueId } from '../technique/index.ts';
import type { Grade } from '../trainee/index.ts';
import type { Ratio } from '../units.ts';

/** A week of a course: what is taught in it. */
export interface CourseWeek {
  techniques: readonly TechniqueId[];
  /** What else it is about. */
  says: string;
}
/** Calls that are known by heart, said aloud and hit. */
export interface CourseSet {
  id: string;
  name: string;
  /** A combination, in words. */
  recipe: string;
}
/** A checkpoint that has to hold at a rung. */
export interface MustHave {
  technique: TechniqueId;
  checkpointId: CheckpointId;
  rung: number;
}
/** A part of a syllabus: weeks that lead to a test, and what the test asks. */
export interface Course {
  id: string;
  name: string;
  /** What whoever passes has reached. */
  leadsTo: Grade;
  weeks: readonly CourseWeek[];
  sets: readonly CourseSet[];
  mustHaves: readonly MustHave[];
  /** Share of clean strikes that each must-have asks. */
  passMark: Ratio;
  /** Whether everything is asked with either foot in front. */
  bothLeads: boolean;
  /** Sessions that have to have been attended, and how many of a week count at most. */
  credits: number;
  creditsAWeek: number;
}

/** Which foot is in front: the one that usually is, or the other. */
export const testLeads = ['usual', 'other'] as const;
export type TestLead = (typeof testLeads)[number];
/** With which feet in front a course asks everything. */
export const leadsAsked = ({ bothLeads }: Pick<Course, 'bothLeads'>): readonly TestLead[] => (bothLeads ? testLeads : ['usual']);

/** A set is known from so much of its match on. */
export const setKnownFrom: Ratio = 0.95;

/** What a set asks to be thrown, in its order; undefined where it cannot be read. */
export function thrownInSet({ recipe }: Pick<CourseSet, 'recipe'>, catalogue: Catalogue): TechniqueId[] | undefined {
  const parsed = parseCombination(recipe, { book: eightCall, catalogue });
  return parsed.ok ? techniquesOf(parsed.combination) : undefined;
}

/** The week of a course that a day lies in, counted from 1 by Mondays; undefined before it began and when it is over. */
export function weekOfCourse(
  { weeks }: Pick<Course, 'weeks'>,
  begunOn: string,
  day: string,
): { number: number; week: CourseWeek } | undefined {
  if (day < begunOn) return undefined;
  const place = Math.floor(daysBetween(weekOf(begunOn)[0]!, day) / 7);
  const week = weeks[place];
  return week && { number: place + 1, week };
}

/** What is wrong with a course, in words, by its place; empty when nothing is. */
export function courseProblems(course: Course, catalogue: Catalogue): { place: string; says: string }[] {
  const problems: { place: string; says: string }[] = [];
  const say = (place: string, says: string): void => void problems.push({ place, says });
  for (const [place, { techniques }] of course.weeks.entries())
    for (const id of techniques)
      if (!catalogue.techniques.has(id)) say(`weeks[${place}].techniques`, `There is no technique “${id}”.`);
  for (const [place, set] of course.sets.entries()) {
    const parsed = parseCombination(set.recipe, { book: eightCall, catalogue });
    if (!parsed.ok) say(`sets[${place}].recipe`, `${set.name}: ${parsed.errors[0]!.says}`);
    else if (techniquesOf(parsed.combination).length === 0) say(`sets[${place}].recipe`, `${set.name}: nothing is thrown.`);
  }
  const told = new Set<string>();
  for (const [place, { technique, checkpointId }] of course.mustHaves.entries()) {
    const field = `mustHaves[${place}]`;
    const isLookedAt = (): boolean =>
      checklistFor(catalogue, technique, { school: usualSchool, view: 'quarter' }).some(
        ({ checkpoint }) => checkpoint.id === checkpointId,
      );
    if (!catalogue.techniques.has(technique)) say(field, `There is no technique “${technique}”.`);
    else if (!isLookedAt()) say(field, 'This checkpoint is not on the checklist of this technique.');
    const key = `${technique} ${checkpointId}`;
    if (told.has(key)) say(field, 'This must-have stands there twice.');
    told.add(key);
  }
  return problems;
}
