import type { FilmFile, Storage } from './storage.ts';

/** How often the files of a film are in use at this moment. */
const inUse = new Map<string, number>();

/** Uses a file of a film as one of this machine, and lets it go when nobody uses that film any more. */
export async function borrowed<T>(
  storage: Storage,
  filmId: string,
  file: FilmFile,
  use: (path: string) => Promise<T>,
): Promise<T> {
  inUse.set(filmId, (inUse.get(filmId) ?? 0) + 1);
  try {
    return await use(await storage.bring(filmId, file));
  } finally {
    const left = inUse.get(filmId)! - 1;
    if (left > 0) inUse.set(filmId, left);
    else {
      inUse.delete(filmId);
      await storage.letGo(filmId);
    }
  }
}

/** The same with a file of each of several films. @param use is told their paths, by film */
export const allBorrowed = <T>(
  storage: Storage,
  [filmId, ...others]: readonly string[],
  file: FilmFile,
  use: (paths: ReadonlyMap<string, string>) => Promise<T>,
): Promise<T> =>
  filmId === undefined
    ? use(new Map())
    : borrowed(storage, filmId, file, (path) =>
        allBorrowed(storage, others, file, (paths) => use(new Map([...paths, [filmId, path]]))),
      );
