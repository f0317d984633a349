import { archiveEndpoints, type Archive } from '@wax-fist/contract/archives';
import { askClub, type Club } from './club.ts';
import { percent, reporter } from './report-line.ts';

/** Waits until an archive is made, looked through or read. @throws Error with the reason when it cannot be */
export async function waitForArchive(club: Club, archiveId: string, what: string): Promise<Archive> {
  const report = reporter('Archive');
  for (;;) {
    const now = (await askClub(club, archiveEndpoints.showArchive, { archiveId })) as Archive;
    if (now.state === 'failed') throw new Error(now.reason ?? 'It could not be done.');
    if (now.state === 'ready') {
      report(what);
      if (process.stderr.isTTY) process.stderr.write('\n');
      return now;
    }
    report(`${what} ${percent(now.progress)}`);
    await new Promise((done) => setTimeout(done, 400));
  }
}
