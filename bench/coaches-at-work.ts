import { reviewEndpoints, type Mark, type WrittenMarks } from '@wax-fist/contract/review';
import { v7 as uuid } from 'uuid';
import { account } from '../server/db/schema/index.ts';
import { hashedPassword } from '../server/features/accounts/passwords.ts';
import { observed, thrown } from '../server/test/marks.ts';
import { addScene, password, Visitor } from '../server/test/server-under-test.ts';
import type { MortalClub } from './mortal-club.ts';

/** A coach at a bench of their own: a film of their own trainee, with some strikes tagged. */
export interface CoachAtWork {
  visitor: Visitor;
  filmId: string;
  strikes: readonly string[];
}

const strikesEach = 20;

/** Lets so many coaches into the club, each with a film. */
export async function coachesAtWork({ connection, base }: MortalClub, count: number): Promise<CoachAtWork[]> {
  const passwordHash = await hashedPassword(password);
  const emails = Array.from({ length: count }, (_, number) => `coach-${number}@club.example`);
  await connection.db
    .insert(account)
    .values(emails.map((email) => ({ id: uuid(), role: 'coach' as const, name: email, email, passwordHash })));
  const coaches: CoachAtWork[] = [];
  for (const email of emails) {
    const visitor = await new Visitor(base).signIn(email);
    const { filmId } = await addScene({ services: connection });
    const strikes = Array.from({ length: strikesEach }, () => uuid());
    await visitor.ask(reviewEndpoints.writeMarks, { filmId }, { marks: strikes.map((strikeId) => thrown(strikeId)) });
    coaches.push({ visitor, filmId, strikes });
  }
  return coaches;
}

/** A word on one of the strikes, said now. */
export const nextWord = ({ strikes }: CoachAtWork, number: number): Mark =>
  observed(strikes[number % strikes.length]!, number % 4 ? 'clean' : 'fault', { saidAt: new Date().toISOString() });

/**
 * Sends words, as the bench does.
 * @returns ids of what the server has said it keeps; none where it refused or did not answer
 */
export async function sendWords({ visitor, filmId }: CoachAtWork, marks: readonly Mark[]): Promise<string[]> {
  const { status, body } = await visitor.ask<WrittenMarks>(reviewEndpoints.writeMarks, { filmId }, { marks });
  return status === 200 ? body.kept : [];
}
