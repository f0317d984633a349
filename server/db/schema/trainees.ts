import { pgEnum, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { grades } from '@wax-fist/contract/trainees';
import { school } from './technique.ts';
import { stances } from '@wax-fist/core/technique';

export const stance = pgEnum('stance', stances);
export const grade = pgEnum('grade', grades);

export const trainee = pgTable('trainee', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  stance: stance().notNull(),
  grade: grade().notNull(),
  note: text().notNull().default(''),
  schoolId: uuid().references(() => school.id, { onDelete: 'set null' }),
  createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
});
