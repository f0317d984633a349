import { testOutcomes, type GradeTestDraft, type OnCourse, type SavedCourse } from '@wax-fist/contract/syllabus';
import type { Readiness } from '@wax-fist/core/syllabus';
import type { Grade } from '@wax-fist/core/trainee';
import { sql } from 'drizzle-orm';
import { check, date, index, integer, jsonb, pgTable, smallint, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { account } from './accounts.ts';
import { isListed, listed } from './listed.ts';
import { trainee } from './trainees.ts';

const isDay = { mode: 'string' } as const;

/** A part of the club’s syllabus. */
export const course = pgTable('course', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  place: smallint().notNull(),
  /** Everything else of it: read and written as a whole. */
  says: jsonb().$type<Omit<SavedCourse, 'id' | 'name' | 'place'>>().notNull(),
});

/** On which course a trainee is. */
export const onCourse = pgTable(
  'on_course',
  {
    traineeId: uuid()
      .primaryKey()
      .references(() => trainee.id, { onDelete: 'cascade' }),
    courseId: uuid()
      .notNull()
      .references(() => course.id),
    begunOn: date(isDay).notNull(),
    testOn: date(isDay),
    /** Rises with every change: a calendar that has it already changes it. */
    revision: integer().notNull().default(0),
  },
  (table) => [
    index('trainees_of_course').on(table.courseId),
    index('test_by_day').on(table.testOn),
    check('test_after_beginning', sql`${table.testOn} > ${table.begunOn}`),
  ],
);

/** How a trainee stands to their test, kept so that it is worked out again only when it was made of something else. */
export const keptReadiness = pgTable('kept_readiness', {
  traineeId: uuid()
    .primaryKey()
    .references(() => trainee.id, { onDelete: 'cascade' }),
  /** Of all that went into it. */
  madeOf: text().notNull(),
  readiness: jsonb().$type<Readiness>().notNull(),
});

/** A test of a trainee, with the course as it was on that day. */
export const gradeTest = pgTable(
  'grade_test',
  {
    id: uuid().primaryKey(),
    traineeId: uuid()
      .notNull()
      .references(() => trainee.id, { onDelete: 'cascade' }),
    /** As it was: a course that is changed or gone does not change a test. */
    course: jsonb().$type<SavedCourse>().notNull(),
    heldOn: date(isDay).notNull(),
    sheet: jsonb().$type<GradeTestDraft['sheet']>().notNull(),
    outcome: listed(testOutcomes).notNull(),
    note: text().notNull().default(''),
    /** How the trainee stood before they passed: taken back, it is so again. */
    before: jsonb().$type<{ grade: Grade; place: OnCourse | null }>(),
    heldBy: uuid().references(() => account.id, { onDelete: 'set null' }),
    writtenAt: timestamp({ withTimezone: true, precision: 3 }).notNull().defaultNow(),
  },
  (table) => [
    index('test_of_trainee').on(table.traineeId, table.heldOn, table.id),
    index('test_held_by').on(table.heldBy),
    isListed('outcome_is_known', table.outcome, testOutcomes),
  ],
);

/** Days on which nobody trains. */
export const closure = pgTable(
  'closure',
  {
    id: uuid().primaryKey(),
    name: text().notNull(),
    from: date('from_day', isDay).notNull(),
    to: date('to_day', isDay).notNull(),
  },
  (table) => [check('closure_in_order', sql`${table.to} >= ${table.from}`)],
);
