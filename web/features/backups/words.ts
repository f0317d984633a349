import { counted } from '@wax-fist/core/words';
import type { Told } from '../../app/told.ts';

/** What is said by “backups”. A part in braces is a slot of TextWith. */
export const backupsWords = {
  backups: 'Backups',
  thatIsMoreThanA: 'That is more than a week ago.',
  theLastOneWasMade: (films: number, bytes: Told, added: Told) =>
    `The last one was made on {madeAt} and read back on {verifiedAt}: the database and ${counted(films, 'film')}, ${bytes}, of which ${added} were new. {part}`,
  noBackupWasEverMade: 'No backup was ever made: what this machine loses is lost.',
  madeOnTheMachineSealed:
    'Made on the machine, sealed by a passphrase, with {code}; put back on an empty one with {code2}. A folder on another disk, every night, is what a club needs.',
};
