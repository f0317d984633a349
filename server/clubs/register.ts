import { randomBytes } from 'node:crypto';
import { rm } from 'node:fs/promises';
import { asc, eq, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { whileConnected, type Connection, type Database } from '../db/connection.ts';
import { migrateDatabase } from '../db/migrate.ts';
import { makeLink } from '../features/people/links.ts';
import type { Settings } from '../settings.ts';
import { storageFrom } from '../storage/open.ts';
import { databaseOfClub, settingsOfClub } from './club-settings.ts';
import { InstallationProblem } from './house.ts';
import { hostIn } from './open-clubs.ts';
import { club, hostPattern } from './register-schema.ts';

export type RegisteredClub = typeof club.$inferSelect;

/** Names and passwords here are made of letters and digits alone; still, none stands in a statement as it is. */
const name = (text: string) => sql.identifier(text);

/** All clubs of the installation, the first one first. */
export const listClubs = (house: Database): Promise<RegisteredClub[]> => house.select().from(club).orderBy(asc(club.addedAt));

/** @throws InstallationProblem when no club is known by it */
export async function clubAt(house: Database, host: string): Promise<RegisteredClub> {
  const [one] = await house
    .select()
    .from(club)
    .where(eq(club.host, hostIn(host)));
  if (!one) throw new InstallationProblem(`No club is known by ${host}.`);
  return one;
}

/**
 * An invitation for somebody who will lead a club, made by whoever runs the installation: in a new club there is nobody yet to invite
 * anybody.
 * @returns the code of the link
 */
export async function inviteHeadCoach(db: Database, person: string): Promise<string> {
  const link = {
    id: uuid(),
    kind: 'join',
    name: person,
    role: 'head-coach',
    accountId: null,
    madeBy: null,
    traineeIds: [],
  } as const;
  return (await makeLink(db, link)).code;
}

/** Takes a database away with its owner, also when only part of that was made. */
async function dropDatabase(house: Database, id: string): Promise<void> {
  const own = name(databaseOfClub(id));
  await house.execute(sql`drop database if exists ${own} with (force)`);
  await house.execute(sql`drop role if exists ${own}`);
}

/**
 * Adds a club: an account of PostgreSQL that may nothing but its own, a database that belongs to it and into which no other account
 * comes, its tables, and its line in the register, which is written last.
 * @param empty without tables, and closed: for a backup that is read into it
 * @throws InstallationProblem when the host name is none, or taken
 */
export async function addClub(
  house: Connection,
  settings: Settings,
  { called, host, empty = false }: { called: string; host: string; empty?: boolean },
): Promise<RegisteredClub> {
  const at = hostIn(host);
  if (!new RegExp(hostPattern).test(at)) throw new InstallationProblem(`${host} is not a host name.`);
  if ((await house.db.$count(club, eq(club.host, at))) > 0) throw new InstallationProblem(`A club is known by ${at} already.`);
  const [id, password] = [uuid(), randomBytes(24).toString('base64url')];
  const own = name(databaseOfClub(id));
  try {
    await house.db.execute(
      sql`create role ${own} login nosuperuser nocreatedb nocreaterole password ${sql.raw(`'${password}'`)}`,
    );
    // To give something to an account, one has to be allowed to act as it.
    await house.db.execute(sql`grant ${own} to current_user`);
    await house.db.execute(sql`create database ${own} owner ${own}`);
    await house.db.execute(sql`revoke connect, temporary on database ${own} from public`);
    if (!empty) await whileConnected(settingsOfClub(settings, { id, password }).databaseUrl, migrateDatabase);
    const added = await house.db.insert(club).values({ id, password, name: called, host: at, closed: empty }).returning();
    return added[0]!;
  } catch (error) {
    await dropDatabase(house.db, id);
    throw error;
  }
}

/** Closes a club, or opens it again: within seconds nobody gets in, or everybody does. Nothing of it is lost. */
export async function setClosed(house: Database, host: string, closed: boolean): Promise<void> {
  await house
    .update(club)
    .set({ closed })
    .where(eq(club.id, (await clubAt(house, host)).id));
}

/**
 * Removes a club for good: its films, its database, its account of PostgreSQL, its line in the register.
 * @throws InstallationProblem when it is open
 */
export async function removeClub(house: Connection, settings: Settings, host: string): Promise<void> {
  const { id, password, closed } = await clubAt(house.db, host);
  if (!closed) throw new InstallationProblem(`${host} is open. Close it, back it up, and then remove it.`);
  const own = settingsOfClub(settings, { id, password });
  await storageFrom(own).removeAll();
  await rm(own.home, { recursive: true, force: true });
  await dropDatabase(house.db, id);
  await house.db.delete(club).where(eq(club.id, id));
}
