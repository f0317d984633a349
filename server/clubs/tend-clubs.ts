import type { Logger } from 'pino';
import { forgetAgain } from '../features/consents/forget-films.ts';
import { endJournal } from '../features/journal/queries.ts';
import { endOldRemovals } from '../features/removals/removals.ts';
import type { OpenClub } from './open-clubs.ts';

/** What somebody has withdrawn is gone within a minute, whatever was in the middle of being made of it. Milliseconds. */
const forgetEvery = 60_000;
const endEvery = 24 * 3_600_000;

/**
 * Does for every club what has to be done by itself: forgets what was withdrawn, and for good what was removed a day ago; ends what
 * has stood in the journal for long enough.
 * @returns ends it
 */
export function tendClubs(clubs: () => Iterable<OpenClub>, log: Logger): () => void {
  const inAll = async (doing: (club: OpenClub) => Promise<unknown>): Promise<void> => {
    for (const club of clubs()) await doing(club).catch((error: unknown) => log.error(error));
  };
  const forget = (): Promise<void> =>
    inAll(async (club) => {
      await forgetAgain(club);
      await endOldRemovals(club);
    });
  const end = (): Promise<void> => inAll(({ db, settings }) => endJournal(db, settings.journalDays));
  void forget();
  void end();
  const timers = [setInterval(() => void forget(), forgetEvery), setInterval(() => void end(), endEvery)];
  return () => timers.forEach(clearInterval);
}
