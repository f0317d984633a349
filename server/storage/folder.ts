import { createReadStream } from 'node:fs';
import { access, constants, copyFile, mkdir, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { ClipFile, Storage } from './storage.ts';

/** Bytes in a folder of this machine: `<home>/clips/<clip>/<file>`. */
export function folderStorage(home: string): Storage {
  const root = join(home, 'clips');
  const pathOf = (clipId: string, file: ClipFile): string => join(root, clipId, file);
  return {
    async keep(path, clipId, file) {
      const target = pathOf(clipId, file);
      await mkdir(dirname(target), { recursive: true });
      await rename(path, target).catch(async (error: NodeJS.ErrnoException) => {
        if (error.code !== 'EXDEV') throw error;
        // From another disk: under another name first, so that half a file is never taken for a whole one.
        await copyFile(path, `${target}.part`);
        await rename(`${target}.part`, target);
        await rm(path);
      });
    },
    async bring(clipId, file) {
      await access(pathOf(clipId, file));
      return pathOf(clipId, file);
    },
    letGo: () => Promise.resolve(),
    read: (clipId, file, range) => Promise.resolve(createReadStream(pathOf(clipId, file), range)),
    bytes: (clipId, file) => stat(pathOf(clipId, file)).then(({ size }) => size, () => undefined), // prettier-ignore
    remove: (clipId) => rm(join(root, clipId), { recursive: true, force: true }),
    async check() {
      await mkdir(root, { recursive: true });
      await access(root, constants.W_OK);
    },
  };
}
