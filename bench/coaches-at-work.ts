import type { WrittenMarks } from '@wax-fist/contract/review';
import { reviewEndpoints } from '@wax-fist/contract/review';
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

/**
 * Says one word on one of the strikes, as the bench sends it.
 * @returns ids of what the server has said it keeps; none where it refused or did not answer
 */
export async function oneWord({ visitor, filmId, strikes }: CoachAtWork, number: number): Promise<string[]> {
  const verdict = number % 4 ? 'clean' : 'fault';
  const mark = observed(strikes[number % strikes.length]!, verdict, { saidAt: new Date().toISOString() });
  const { status, body } = await visitor.ask<WrittenMarks>(reviewEndpoints.writeMarks, { filmId }, { marks: [mark] });
  return status === 200 ? body.kept : [];
}
