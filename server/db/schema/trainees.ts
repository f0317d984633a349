import { sql } from 'drizzle-orm';
import { check, index, pgTable, real, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { ageGroups, grades } from '@wax-fist/core/trainee';
import { isListed, listed } from './listed.ts';
import { school } from './schools.ts';
import { stances } from '@wax-fist/core/technique';

export const trainee = pgTable(
  'trainee',
  {
    id: uuid().primaryKey(),
    name: text().notNull(),
    stance: listed(stances).notNull(),
    grade: listed(grades).notNull(),
    note: text().notNull().default(''),
    /** Centimetres. */
    stature: real(),
    reach: real(),
    ageGroup: listed(ageGroups),
    schoolId: uuid().references(() => school.id, { onDelete: 'set null' }),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('trainee_by_name').on(table.name, table.id),
    index('trainee_of_school').on(table.schoolId),
    isListed('stance_is_known', table.stance, stances),
    isListed('grade_is_known', table.grade, grades),
    isListed('age_group_is_known', table.ageGroup, ageGroups),
    check('stature_of_people', sql`${table.stature} between 90 and 230`),
    check('reach_of_people', sql`${table.reach} between 30 and 110`),
  ],
);
