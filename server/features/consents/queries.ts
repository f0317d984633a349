import type { Consent, ConsentDraft } from '@wax-fist/contract/consents';
import { consentOn, maySee, needsGuardian } from '@wax-fist/core/trainee';
import { desc, eq, inArray } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { consent, film, trainee, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { clubDay } from '../sessions/club-day.ts';

type Row = typeof consent.$inferSelect;
const asConsent = ({ withdrawnAt, writtenBy: _, writtenAt: _at, ...row }: Row): Consent => ({
  ...row,
  withdrawnOn: withdrawnAt && clubDay(withdrawnAt),
});

/** Every word of a trainee, the newest first. */
export const consentsOf = async (db: Database, traineeId: string): Promise<Consent[]> =>
  (await db.select().from(consent).where(eq(consent.traineeId, traineeId)).orderBy(desc(consent.givenOn), desc(consent.id))).map(
    asConsent,
  );

/** @throws Refusal for somebody who is not there, or for whom a guardian speaks and none did */
export async function giveConsent(db: Database, draft: ConsentDraft, writtenBy: string): Promise<Consent> {
  const person = found(await db.select().from(trainee).where(eq(trainee.id, draft.traineeId)), 'trainee');
  if (needsGuardian(person.ageGroup) && !draft.asGuardian) {
    const message = `For somebody who is a ${person.ageGroup}, a guardian agrees.`;
    throw new Refusal(422, message, [{ field: 'asGuardian', message }]);
  }
  if (draft.givenOn > clubDay()) throw new Refusal(422, 'What is still to come nobody has agreed to yet.');
  await db
    .insert(consent)
    .values({ ...draft, writtenBy })
    .onConflictDoNothing();
  return asConsent(found(await db.select().from(consent).where(eq(consent.id, draft.id)), 'consent'));
}

/**
 * Whether a session may be filmed: nobody in it has withdrawn their consent, or let it end. Of whom nobody has asked yet, the pages ask.
 * @throws Refusal with whom to ask
 */
export async function mayBeFilmed(db: Database, sessionId: string): Promise<void> {
  const [session] = await db.select().from(trainingSession).where(eq(trainingSession.id, sessionId));
  for (const id of [session?.traineeId, session?.holderId]) {
    if (!id) continue;
    const word = await wordToday(db, id);
    if (!word || word.consent) continue;
    const [person] = await db.select({ name: trainee.name }).from(trainee).where(eq(trainee.id, id));
    throw new Refusal(409, `${person!.name} has not agreed to be filmed any more. Ask again before anything is filmed.`);
  }
}

/** The word of a trainee that counts today; null where nobody was ever asked. */
async function wordToday(db: Database, traineeId: string): Promise<{ consent: Consent | undefined } | null> {
  const words = await consentsOf(db, traineeId);
  return words.length === 0 ? null : { consent: consentOn(words, clubDay()) };
}

/** Of some people, those whom everybody of the club may see today. Of whom nobody has asked, nobody may. */
async function agreedToClub(db: Database, people: readonly string[]): Promise<ReadonlySet<string>> {
  const words = await db
    .select()
    .from(consent)
    .where(inArray(consent.traineeId, [...people]));
  const ofOne = (id: string): Consent[] => words.filter(({ traineeId }) => traineeId === id).map(asConsent);
  return new Set(people.filter((id) => maySee(consentOn(ofOne(id), clubDay()), 'club')));
}

/** Who is in the films of a session. */
type InIt = Pick<typeof trainingSession.$inferSelect, 'traineeId' | 'holderId'>;
const everybodyIn = ({ traineeId, holderId }: InIt): string[] => (holderId ? [traineeId, holderId] : [traineeId]);

/** Of some sessions, those that everybody of the club may see today: all who are in them have agreed to it. */
export async function seenByClub<One extends InIt>(db: Database, sessions: readonly One[]): Promise<One[]> {
  const agreed = await agreedToClub(db, [...new Set(sessions.flatMap(everybodyIn))]);
  return sessions.filter((one) => everybodyIn(one).every((id) => agreed.has(id)));
}

/** Whether a session may be shown to everybody of the club. @throws Refusal with whom to ask */
export async function mayBeShownToClub(db: Database, sessionId: string): Promise<void> {
  const session = found(await db.select().from(trainingSession).where(eq(trainingSession.id, sessionId)), 'session');
  const agreed = await agreedToClub(db, everybodyIn(session));
  const missing = everybodyIn(session).find((id) => !agreed.has(id));
  if (!missing) return;
  const [person] = await db.select({ name: trainee.name }).from(trainee).where(eq(trainee.id, missing));
  throw new Refusal(409, `${person!.name} has not agreed to be seen by everybody of the club. Ask on their page, then show it.`);
}

/** Whether a film may be shown to others as how it is done. @throws Refusal where they have not agreed to it */
export async function mayBeShown(db: Database, filmId: string): Promise<void> {
  const [row] = await db
    .select({ traineeId: trainingSession.traineeId, holderId: trainingSession.holderId })
    .from(film)
    .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
    .where(eq(film.id, filmId));
  for (const id of [row?.traineeId, row?.holderId]) {
    const word = id ? await wordToday(db, id) : null;
    if (word && !word.consent?.asReference)
      throw new Refusal(409, 'They have not agreed to be shown to others: no reference is made of this film.');
  }
}

/** Whether a card of somebody may go behind a link. @throws Refusal where they have not agreed to it */
export async function mayBeLinked(db: Database, traineeId: string): Promise<void> {
  const word = await wordToday(db, traineeId);
  if (word && !maySee(word.consent, 'anyone'))
    throw new Refusal(409, 'They have not agreed to be seen by whoever has a link. Print the card, or ask them.');
}
