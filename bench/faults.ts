import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { blows, made } from '../server/test/films.ts';
import { duringEntry, duringSteps, duringUpload } from './faults-of-films.ts';
import { cutConnections, duringArchive, duringExport, duringMarking, duringRounds, storeAway } from './faults-of-requests.ts';
import { inMortalClub, victims, type MortalClub } from './mortal-club.ts';
import type { Line } from './table.ts';

/** Kills everything at every place, and counts what was acknowledged and what is there. */
export const benchFaults = (): Promise<Line[]> => inMortalClub(everyFault);

async function everyFault(club: MortalClub): Promise<Line[]> {
  await club.connection.pool.query(`
    create function tell_step() returns trigger language plpgsql as $$
      begin perform pg_notify('step_begun', new.film_id || ' ' || new.step); return new; end $$;
    create trigger step_is_told after update of state on film_step for each row
      when (new.state = 'working' and new.attempts = 1) execute function tell_step();`);
  const { rows } = await club.connection.pool.query<{ id: string }>('select id from trainee limit 1');
  const traineeId = rows[0]!.id;
  const folder = await mkdtemp(join(tmpdir(), 'wax-fist-faults-'));
  const bytes = await readFile(await made(folder, 'round.mp4', (path) => blows(6, 0, path)));
  const lines: Line[] = [];
  for (const victim of victims) {
    lines.push(await duringUpload(club, victim, bytes));
    lines.push(await duringEntry(club, victim, bytes));
    lines.push(...(await duringSteps(club, victim, bytes)));
    lines.push(await duringMarking(club, victim));
    lines.push(await duringRounds(club, victim));
    lines.push(await duringExport(club, victim, traineeId));
    lines.push(...(await duringArchive(club, victim, traineeId)));
  }
  lines.push(await cutConnections(club));
  lines.push(await storeAway(club, bytes));
  await rm(folder, { recursive: true });
  return lines;
}
