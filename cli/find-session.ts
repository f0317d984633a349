import { everyRow } from '@wax-fist/contract/page';
import { sessionEndpoints, type SessionRow } from '@wax-fist/contract/sessions';
import { traineeEndpoints, type TraineeRow } from '@wax-fist/contract/trainees';
import type { RoundKind } from '@wax-fist/core/rounds';
import { format } from 'date-fns/format';
import { v7 as uuid } from 'uuid';
import { askClub, type Club } from './club.ts';

const listed = (lines: string[]): string => lines.map((line) => `\n  ${line}`).join('');

/** The trainee with this name or id; part of a name will do when it is only one's. @throws Error in words for the person */
export function traineeNamed(trainees: readonly TraineeRow[], wanted: string): TraineeRow {
  const low = wanted.trim().toLowerCase();
  const exact = trainees.filter(({ id, name }) => id === wanted || name.toLowerCase() === low);
  const [found, another] = exact.length > 0 ? exact : trainees.filter(({ name }) => name.toLowerCase().includes(low));
  if (!found) throw new Error(`There is no trainee “${wanted}”. There are:${listed(trainees.map(({ name }) => name))}`);
  if (another)
    throw new Error(
      `“${wanted}” is more than one trainee; give the id:${listed(trainees.filter(({ name }) => name.toLowerCase().includes(low)).map(({ id, name }) => `${id}  ${name}`))}`,
    );
  return found;
}

/** The session with this id, or of this day; undefined when that day has none. @throws Error in words for the person */
export function sessionNamed(sessions: readonly SessionRow[], wanted: string): SessionRow | undefined {
  const [found, another] = sessions.filter(({ id, heldOn }) => id === wanted || heldOn === wanted);
  const list = (): string => listed(sessions.map(({ id, heldOn, roundKind }) => `${id}  ${heldOn}  ${roundKind}`));
  if (another) throw new Error(`There is more than one session on ${wanted}; give the id:${list()}`);
  if (!found && !/^\d{4}-\d{2}-\d{2}$/.test(wanted))
    throw new Error(`There is no session “${wanted}”. Give a day (2026-11-25) or an id:${list()}`);
  return found;
}

/** The trainee who is meant. @throws Error in words for the person */
export const traineeOf = async (club: Club, wanted: string): Promise<TraineeRow> =>
  traineeNamed(await everyRow((query) => askClub(club, traineeEndpoints.listTrainees, {}, { query })), wanted);

/** The session of a trainee that is meant. @throws Error in words for the person */
export async function sessionOf(club: Club, traineeId: string, wanted: string): Promise<SessionRow> {
  const found = sessionNamed(await sessionsOf(club, traineeId), wanted);
  if (!found) throw new Error(`There is no session on ${wanted}.`);
  return found;
}
const sessionsOf = (club: Club, traineeId: string): Promise<SessionRow[]> =>
  everyRow((query) => askClub(club, sessionEndpoints.listSessions, { traineeId }, { query }));

export interface SessionWish {
  trainee: string;
  session?: string;
  kind: RoundKind;
  rung: number;
}

/** The session that is meant; one is made where the trainee has none on that day. @throws Error in words for the person */
export async function findSession(club: Club, wish: SessionWish): Promise<{ id: string; traineeName: string; heldOn: string }> {
  const trainee = await traineeOf(club, wish.trainee);
  const heldOn = wish.session ?? format(new Date(), 'yyyy-MM-dd');
  const found = sessionNamed(await sessionsOf(club, trainee.id), heldOn);
  if (found) return { id: found.id, traineeName: trainee.name, heldOn: found.heldOn };
  const id = uuid();
  const draft = {
    id,
    traineeId: trainee.id,
    heldOn,
    roundKind: wish.kind,
    rung: wish.rung,
    place: '',
    kit: '',
    schoolNote: '',
    holderId: null,
    holderStance: null,
  };
  await askClub(club, sessionEndpoints.saveSession, { sessionId: id }, { body: draft });
  return { id, traineeName: trainee.name, heldOn };
}
