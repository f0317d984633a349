import { expect } from 'chai';
import { access, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { text } from 'node:stream/consumers';
import { startS3 } from '../test/s3-store.ts';
import { folderStorage } from './folder.ts';
import { s3Storage } from './s3.ts';
import { filmsFolder, sha256Of, type Storage } from './storage.ts';

/** Each kind of storage on fresh ground, and how to make it unusable. */
const kinds: Record<
  string,
  (home: string) => Promise<{ storage: Storage; breakIt: () => Promise<void>; end: () => Promise<void> }>
> = {
  'a folder': async (home) => ({
    storage: folderStorage(home),
    async breakIt() {
      await rm(join(home, filmsFolder), { recursive: true });
      await writeFile(join(home, filmsFolder), '');
    },
    end: () => Promise.resolve(),
  }),
  'an S3 store': async (home) => {
    const { settings, stop } = await startS3(home);
    return { storage: s3Storage(settings, home), breakIt: stop, end: stop };
  },
};

for (const [kind, make] of Object.entries(kinds)) {
  describe(`storage in ${kind}`, () => {
    let home: string;
    let storage: Storage;
    let breakIt: () => Promise<void>;
    let end: () => Promise<void>;
    beforeEach(async () => {
      home = await mkdtemp(join(tmpdir(), 'wax-fist-storage-'));
      ({ storage, breakIt, end } = await make(home));
    });
    afterEach(async () => {
      await end();
      await rm(home, { recursive: true });
    });

    const arrived = async (content: string): Promise<string> => {
      const path = join(home, 'arrived');
      await writeFile(path, content);
      return path;
    };

    it('tells what there is of a film, how long it is and when it was written, and no half of anything', async () => {
      expect(await storage.list('film')).to.deep.equal([]);
      await storage.keep(await arrived('a film'), 'film', 'original');
      await storage.keep(await arrived('a strip'), 'film', 'strip.jpg');
      await storage.keep(await arrived('another'), 'other', 'original');
      const [original, strip, ...more] = (await storage.list('film')).sort((one, two) => one.file.localeCompare(two.file));
      expect(more).to.deep.equal([]);
      expect([original!.file, original!.bytes, strip!.file, strip!.bytes]).to.deep.equal(['original', 6, 'strip.jpg', 7]);
      // A store tells whole seconds.
      expect(original!.writtenAt).to.be.within(Date.now() - 60_000, Date.now() + 2000);
    });

    it('takes a file over byte for byte, and nothing stays behind', async () => {
      const path = await arrived('a film');
      const hash = await sha256Of(path);
      await storage.keep(path, 'film', 'original');
      const copy = await storage.bring('film', 'original');
      expect(await readFile(copy, 'utf8')).to.equal('a film');
      expect(await sha256Of(copy)).to.equal(hash);
      expect(await storage.bytes('film', 'original')).to.equal(6);
      await access(path).then(
        () => expect.fail('the file is there twice'),
        () => undefined,
      );
    });

    it('gives a file in parts, and again after its copies were dropped', async () => {
      await storage.keep(await arrived('a film of a round'), 'film', 'film.mp4');
      expect(await text(await storage.read('film', 'film.mp4', { start: 2, end: 5 }))).to.equal('film');
      expect(await text(await storage.read('film', 'film.mp4'))).to.equal('a film of a round');
      await storage.letGo('film');
      expect(await readFile(await storage.bring('film', 'film.mp4'), 'utf8')).to.equal('a film of a round');
    });

    it('writes a file anew when a step is done again', async () => {
      await storage.keep(await arrived('first'), 'film', 'sound.wav');
      await storage.keep(await arrived('second one'), 'film', 'sound.wav');
      expect(await readFile(await storage.bring('film', 'sound.wav'), 'utf8')).to.equal('second one');
    });

    it('keeps films apart and removes one without touching the other', async () => {
      for (const film of ['one', 'two']) await storage.keep(await arrived(film), film, 'original');
      await storage.remove('one');
      await storage.remove('one');
      expect(await readFile(await storage.bring('two', 'original'), 'utf8')).to.equal('two');
      expect(await storage.bytes('one', 'original')).to.equal(undefined);
    });

    it('removes all films of a club, and goes on', async () => {
      for (const film of ['one', 'two']) await storage.keep(await arrived(film), film, 'original');
      await storage.removeAll();
      await storage.removeAll();
      expect([await storage.list('one'), await storage.list('two')]).to.deep.equal([[], []]);
      await storage.keep(await arrived('anew'), 'one', 'original');
      expect(await storage.bytes('one', 'original')).to.equal(4);
    });

    it('complains when nothing can be written', async () => {
      await storage.check();
      await breakIt();
      await storage.check().then(
        () => expect.fail('no complaint'),
        (error: unknown) => expect(error).to.be.instanceOf(Error),
      );
    });
  });
}
