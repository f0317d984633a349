import { createReadStream } from 'node:fs';
import { access, constants, copyFile, mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { filmsFolder, isFilmFile, type FilmFile, type Storage } from './storage.ts';

/** Bytes in a folder of this machine: `<home>/clips/<film>/<file>`. */
export function folderStorage(home: string): Storage {
  const root = join(home, filmsFolder);
  const pathOf = (filmId: string, file: FilmFile): string => join(root, filmId, file);
  return {
    async keep(path, filmId, file) {
      const target = pathOf(filmId, file);
      await mkdir(dirname(target), { recursive: true });
      await rename(path, target).catch(async (error: unknown) => {
        if ((error as NodeJS.ErrnoException).code !== 'EXDEV') throw error;
        // From another disk: under another name first, so that half a file is never taken for a whole one.
        await copyFile(path, `${target}.part`);
        await rename(`${target}.part`, target);
        await rm(path);
      });
    },
    async bring(filmId, file) {
      await access(pathOf(filmId, file));
      return pathOf(filmId, file);
    },
    letGo: () => Promise.resolve(),
    read: (filmId, file, range) => Promise.resolve(createReadStream(pathOf(filmId, file), range)),
    bytes: (filmId, file) =>
      stat(pathOf(filmId, file)).then(
        ({ size }) => size,
        () => undefined,
      ),
    async list(filmId) {
      const names = await readdir(join(root, filmId)).catch((): string[] => []);
      return Promise.all(
        names.filter(isFilmFile).map(async (file) => {
          const { size, mtimeMs } = await stat(pathOf(filmId, file));
          return { file, bytes: size, writtenAt: Math.floor(mtimeMs) };
        }),
      );
    },
    // A worker may put something in meanwhile; then it is gone through again.
    remove: (filmId) => rm(join(root, filmId), { recursive: true, force: true, maxRetries: 5, retryDelay: 50 }),
    removeAll: () => rm(root, { recursive: true, force: true, maxRetries: 5, retryDelay: 50 }),
    async check() {
      await mkdir(root, { recursive: true });
      await access(root, constants.W_OK);
    },
  };
}
