import { planEndpoints, type Plan } from '@wax-fist/contract/plans';
import type { RoundKind } from '@wax-fist/core/rounds';
import type { View } from '@wax-fist/core/technique';
import { openDB, type DBSchema } from 'idb';
import { request } from '../../app/request.ts';
import { useUploads } from '../footage/uploads-store.ts';

/** What was filmed by the clock of the floor, until it is in its session. */
interface FloorFilm {
  id: string;
  planId: string;
  on: RoundKind;
  rung: number;
  view: View;
  file: File;
}
interface FloorSchema extends DBSchema {
  films: { key: string; value: FloorFilm; indexes: { plan: string } };
}
const opened = () =>
  openDB<FloorSchema>('wax-fist-floor', 1, {
    upgrade: (database) => void database.createObjectStore('films', { keyPath: 'id' }).createIndex('plan', 'planId'),
  });

/** Keeps a film in the browser: its session is made only when what was done is written down. */
export async function keepFloorFilm(film: FloorFilm): Promise<void> {
  const database = await opened();
  await database.put('films', film);
  database.close();
}

/** What is on its way from this page already: it is not sent a second time while it is. */
const onItsWay = new Set<string>();

/** Sends what was filmed into the sessions of its plan; each is forgotten here once it is there. */
export async function sendFloorFilms({ id, sessions }: Pick<Plan, 'id' | 'sessions'>): Promise<void> {
  const uploads = useUploads();
  const database = await opened();
  const films = await database.getAllFromIndex('films', 'plan', id);
  database.close();
  for (const film of films) {
    const session = sessions.find(({ roundKind, rung }) => roundKind === film.on && rung === film.rung);
    if (!session || onItsWay.has(film.id)) continue;
    onItsWay.add(film.id);
    uploads.send(film.file, session.sessionId, film.view, () => {
      onItsWay.delete(film.id);
      void opened().then(async (again) => {
        await again.delete('films', film.id);
        again.close();
      });
    });
  }
}

/** Sends what was left over from another time: the page was closed before it was there. */
export async function sendLeftFloorFilms(): Promise<void> {
  const database = await opened();
  const plans = new Set((await database.getAll('films')).map(({ planId }) => planId));
  database.close();
  for (const planId of plans) {
    const plan = await request(planEndpoints.showPlan, { params: { planId } }).catch(() => undefined);
    if (plan?.log) await sendFloorFilms(plan);
  }
}
