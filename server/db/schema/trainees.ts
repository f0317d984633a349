import { pgEnum, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { grades } from '@wax-fist/contract/trainees';
import { stances } from '@wax-fist/core/technique';

export const stance = pgEnum('stance', stances);
export const grade = pgEnum('grade', grades);

export const trainee = pgTable('trainee', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  stance: stance().notNull(),
  grade: grade().notNull(),
  note: text().notNull().default(''),
  createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
});
