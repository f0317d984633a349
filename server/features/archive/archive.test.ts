import { archiveEndpoints, type Archive, type Reading } from '@wax-fist/contract/archives';
import { consentEndpoints } from '@wax-fist/contract/consents';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { uploadPath } from '@wax-fist/contract/footage';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { archiveVersion, manifestPath, recordsPath, type ArchiveManifest } from '@wax-fist/core/formats';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { createHash, randomBytes } from 'node:crypto';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { v7 as uuid } from 'uuid';
import { ZipFile } from 'yazl';
import {
  checklistVersion,
  consent,
  film,
  filmPoints,
  observation,
  strike,
  trainee,
  trainingSession,
} from '../../db/schema/index.ts';
import { eventually } from '../../test/eventually.ts';
import { roundOfMarks } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';
import { openArchive } from './open-archive.ts';
import { archiveSchema } from './archive-schema.ts';

interface Club {
  server: ServerUnderTest;
  head: Visitor;
}

describe('an archive', function () {
  this.timeout(60_000);
  let folder: string;
  let first: Club;
  let second: Club;
  let scene: ClubScene;
  let path: string;
  const original = randomBytes(300_000);
  const correctionId = uuid();

  const club = async (): Promise<Club> => {
    const server = await startServer({ works: false, elsewhere: true });
    return { server, head: await server.as('head-coach') };
  };
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-archives-'));
    [first, second] = [await club(), await club()];
    scene = await addScene(first.server);
    await addScene(first.server);
    const { db, storage } = first.server.services;
    for (const [file, bytes] of [
      ['original', original],
      ['film.mp4', randomBytes(100_000)],
    ] as const) {
      const draft = join(folder, 'draft');
      await writeFile(draft, bytes);
      await storage.keep(draft, scene.filmId, file);
    }
    const coach = await first.server.as('coach');
    await db.insert(checklistVersion).values({ version: 2, edits: { ...emptyEdits, techniques: [] }, note: 'ours' });
    await db.update(trainingSession).set({ checklistVersion: 2 }).where(eq(trainingSession.id, scene.sessionId));
    // Taken back, and made again: two numbers for the same.
    await db.insert(checklistVersion).values({ version: 3, edits: { ...emptyEdits, techniques: [] }, note: 'ours again' });
    const marks = roundOfMarks(['fault', 'clean', 'clean', 'watch'], { checklistVersion: 2 });
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks });
    const draft = { technique: 'jab', checkpointId: 'gd.return-line', cue: 'Touch home', target: 0.15, topRung: 6 };
    await coach.ask(
      correctionEndpoints.openCorrection,
      { correctionId },
      { id: correctionId, sessionId: scene.sessionId, ...draft, recheckOn: '2026-05-04' },
    );
    path = await made(first, scene.traineeId);
  });
  after(async () => {
    await Promise.all([first, second].map(({ server }) => server.stop()));
    await rm(folder, { recursive: true });
  });
  /** Checklists with an edit of their own, so that no club has them already. */
  const emptyEdits = { techniques: [], checkpoints: [], checklists: { jab: [{ checkpointId: 'gd.return-line' }] } };

  const ended = (head: Visitor, archiveId: string): Promise<Archive> =>
    eventually(
      'the end of it',
      async () => (await head.ask<Archive>(archiveEndpoints.showArchive, { archiveId })).body,
      ({ state }) => state !== 'working',
    );
  /** Makes an archive, and fetches it. */
  async function made({ head }: Club, traineeId: string | null): Promise<string> {
    const id = uuid();
    await head.ask(archiveEndpoints.makeArchive, {}, { id, traineeId });
    const { state, reason } = await ended(head, id);
    expect(state, reason ?? '').to.equal('ready');
    const { body } = await head.ask<ArrayBuffer>(archiveEndpoints.archiveFile, { archiveId: id });
    const to = join(folder, `${id}.zip`);
    await writeFile(to, Buffer.from(body));
    return to;
  }
  async function sent(head: Visitor, bytes: Buffer): Promise<string> {
    const headers = {
      'tus-resumable': '1.0.0',
      'upload-length': String(bytes.length),
      'content-type': 'application/offset+octet-stream',
    };
    const begun = await head.fetch(uploadPath, { method: 'POST', headers, body: new Uint8Array(bytes) });
    return begun.headers.get('location')!.split('/').at(-1)!;
  }
  /** Reads an archive, or looks through it. */
  async function read({ head }: Club, bytes: Buffer, wish: { dryRun?: boolean; archiveWins?: boolean } = {}): Promise<Archive> {
    const uploadId = await sent(head, bytes);
    const id = uuid();
    await head.ask(archiveEndpoints.readArchive, {}, { id, uploadId, dryRun: false, archiveWins: false, ...wish });
    return ended(head, id);
  }
  const totals = ({ kinds }: Reading) =>
    kinds.reduce(
      (sum, kind) => ({
        added: sum.added + kind.added,
        changed: sum.changed + kind.changed,
        same: sum.same + kind.same,
        refused: sum.refused + kind.refused,
      }),
      { added: 0, changed: 0, same: 0, refused: 0 },
    );

  it('holds films as they are, and records as lines of the published schema, of this trainee alone', async () => {
    const archive = await openArchive(path);
    const manifest = JSON.parse(await archive.text(manifestPath)) as ArchiveManifest;
    expect(await buffer(await archive.read(`films/${scene.filmId}/original`))).to.deep.equal(original);
    const trainees = (await archive.text(recordsPath('trainee'))).trim().split('\n');
    expect(trainees.map((line) => (JSON.parse(line) as { id: string }).id)).to.deep.equal([scene.traineeId]);
    const rows = (await archive.text(recordsPath('observation'))).trim().split('\n');
    expect(rows)
      .to.have.length(manifest.records.find(({ name }) => name === 'observation')!.rows)
      .and.have.length(4);
    expect(JSON.parse(await archive.text('schema.json'))).to.deep.equal(JSON.parse(JSON.stringify(archiveSchema)));
    expect(manifest.people.map(({ name }) => name)).to.have.members(['A assistant', 'A coach', 'A head-coach']);
    const everything = await readFile(path);
    expect(everything.includes('password') || everything.includes('@club.example')).to.equal(false);
    archive.close();
  });

  it('has the schema that is published', async () => {
    const published: unknown = JSON.parse(await readFile(new URL('../../../docs/archive.schema.json', import.meta.url), 'utf8'));
    expect(published).to.deep.equal(JSON.parse(JSON.stringify(archiveSchema)));
  });

  it('is fetched from where it stopped', async () => {
    const id = uuid();
    await first.head.ask(archiveEndpoints.makeArchive, {}, { id, traineeId: scene.traineeId });
    await ended(first.head, id);
    const address = archiveEndpoints.archiveFile.path.replace(':archiveId', id);
    const whole = await first.head.fetch(address);
    expect(whole.headers.get('content-disposition')).to.include('Somebody');
    const rest = await first.head.fetch(address, { headers: { range: 'bytes=1000-' } });
    expect(rest.status).to.equal(206);
    expect(Buffer.from(await rest.arrayBuffer())).to.deep.equal(Buffer.from(await whole.arrayBuffer()).subarray(1000));
    expect((await first.head.ask(archiveEndpoints.removeArchive, { archiveId: id })).status).to.equal(204);
    expect((await first.head.fetch(address)).status).to.equal(404);
  });

  it('is looked through in another club before anything is read', async () => {
    const { reading } = await read(second, await readFile(path), { dryRun: true });
    const { added, changed, refused } = totals(reading!);
    expect([changed, refused]).to.deep.equal([0, 0]);
    expect(added).to.be.above(10);
    expect(reading!.notes.join()).to.include('no account here (A coach)');
    expect(await second.server.services.db.select().from(trainee)).to.deep.equal([]);
  });

  it('is read into another club with everything, and read again changes nothing', async () => {
    const { db, storage } = second.server.services;
    const looked = (await read(second, await readFile(path), { dryRun: true })).reading!;
    const { reading } = await read(second, await readFile(path));
    expect(reading!.kinds).to.deep.equal(looked.kinds);
    expect(await buffer(await storage.read(scene.filmId, 'original'))).to.deep.equal(original);
    const said = await db.select().from(observation);
    expect(said.map(({ verdict }) => verdict)).to.have.members(['fault', 'clean', 'clean', 'watch']);
    expect(said.every(({ saidBy }) => saidBy === null)).to.equal(true);
    // Checklists that this club never had are none of its own.
    const [session] = await db.select().from(trainingSession);
    expect(session!.checklistVersion).to.equal(1_000_000);
    expect(said[0]!.checklistVersion).to.equal(1_000_000);
    const { body } = await second.head.ask(reviewEndpoints.traineeTallies, { traineeId: scene.traineeId });
    expect(body[0].tally).to.deep.equal({ clean: 2, watch: 1, fault: 1, cantSee: 0 });
    const shown = await second.head.ask(correctionEndpoints.showCorrection, { correctionId });
    expect([shown.body.cue, shown.body.history.length]).to.deep.equal(['Touch home', 1]);

    const again = totals((await read(second, await readFile(path))).reading!);
    expect([again.added, again.changed, again.refused]).to.deep.equal([0, 0, 0]);
    const back = totals((await read(first, await readFile(path))).reading!);
    expect([back.added, back.changed, back.refused]).to.deep.equal([0, 0, 0]);
  });

  it('leaves what is here and differs as it is, and says so; only when told so the archive wins', async () => {
    const { db } = second.server.services;
    await db.update(trainee).set({ name: 'Somebody else' }).where(eq(trainee.id, scene.traineeId));
    await db.update(observation).set({ verdict: 'cant-see' }).where(eq(observation.verdict, 'watch'));
    const kept = (await read(second, await readFile(path))).reading!;
    expect(totals(kept)).to.include({ added: 0, changed: 0, refused: 2 });
    expect(kept.reasons.map(({ name, says }) => `${name}: ${says}`)).to.deep.equal([
      'trainee: It is here already and differs (name). It stays as it is here.',
      'observation: It is here already and differs (verdict). What was said once does not change.',
    ]);
    expect((await db.select().from(trainee))[0]!.name).to.equal('Somebody else');
    const won = (await read(second, await readFile(path), { archiveWins: true })).reading!;
    expect(totals(won)).to.include({ added: 0, changed: 1, refused: 1 });
    expect((await db.select().from(trainee))[0]!.name).to.equal('Somebody');
  });

  describe('of somebody who has withdrawn their consent since', () => {
    let third: Club;
    const consentId = uuid();
    before(async () => {
      third = await club();
      await read(third, await readFile(path));
      const { db } = third.server.services;
      await db
        .insert(filmPoints)
        .values({ filmId: scene.filmId, ...{ fromFrame: 0, frames: 1 }, ...{ model: 'm', version: 1, packed: original } });
      await third.head.ask(
        consentEndpoints.giveConsent,
        { consentId },
        {
          ...{ id: consentId, traineeId: scene.traineeId, givenBy: 'Themselves', asGuardian: false, seenBy: 'coaches' },
          ...{ asReference: false, givenOn: '2026-03-01', until: null, note: '' },
        },
      );
    });
    after(() => third.server.stop());
    const filmHere = async () => (await third.server.services.db.select().from(film).where(eq(film.id, scene.filmId)))[0]!;

    it('brings nothing back that shows them, not even where the archive wins', async () => {
      const { db, storage } = third.server.services;
      const before = await readFile(await made(third, scene.traineeId));
      await third.head.ask(consentEndpoints.withdrawConsent, { traineeId: scene.traineeId });
      for (const wish of [{}, { archiveWins: true }]) {
        const { reading } = await read(third, before, wish);
        expect(reading!.notes.join()).to.include('1 film in it shows');
        expect(await filmHere()).to.deep.include({ state: 'withdrawn', fileName: '', sha256: null });
        expect(await storage.bytes(scene.filmId, 'original')).to.equal(undefined);
        expect(await db.$count(filmPoints, eq(filmPoints.filmId, scene.filmId))).to.equal(0);
        expect((await db.select().from(consent))[0]!.withdrawnAt).to.not.equal(null);
      }
      expect(await db.$count(observation)).to.equal(4);
    });

    it('brings no film back that was removed before they did', async () => {
      const { db, storage } = third.server.services;
      await db.delete(film).where(eq(film.id, scene.filmId));
      await read(third, await readFile(path));
      expect((await filmHere()).state).to.equal('withdrawn');
      expect(await storage.bytes(scene.filmId, 'original')).to.equal(undefined);
    });
  });

  it('of the whole club holds everybody', async () => {
    const archive = await openArchive(await made(first, null));
    expect((await archive.text(recordsPath('trainee'))).trim().split('\n')).to.have.length(2);
    archive.close();
  });

  it('is for the head coach alone', async () => {
    const coach = await first.server.as('coach');
    expect((await coach.ask(archiveEndpoints.makeArchive, {}, { id: uuid(), traineeId: null })).status).to.equal(403);
    expect((await coach.ask(archiveEndpoints.listArchives)).status).to.equal(403);
    expect((await first.head.ask(archiveEndpoints.makeArchive, {}, { id: uuid(), traineeId: uuid() })).status).to.equal(404);
  });

  describe('that is not as it should be is refused whole, with the reason', () => {
    type Entries = Map<string, Buffer>;
    let entries: Entries;
    before(async () => {
      const archive = await openArchive(path);
      entries = new Map();
      for (const name of archive.paths) entries.set(name, await buffer(await archive.read(name)));
      archive.close();
    });
    const hash = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex');
    /** Puts an archive together again. @param change of its entries @param ofManifest what it then says of itself */
    async function zipped(change: (all: Entries) => void, ofManifest: (manifest: ArchiveManifest) => void = () => undefined) {
      const all = new Map(entries);
      change(all);
      const manifest = JSON.parse(all.get(manifestPath)!.toString()) as ArchiveManifest;
      ofManifest(manifest);
      all.set(manifestPath, Buffer.from(JSON.stringify(manifest)));
      const zip = new ZipFile();
      for (const [name, bytes] of all) zip.addBuffer(bytes, name, { compress: true });
      zip.end();
      return buffer(zip.outputStream);
    }
    const truthful = (name: string, bytes: Buffer) => (manifest: ArchiveManifest) => {
      const one = manifest.files.find((file) => file.path === name);
      if (one) Object.assign(one, { bytes: bytes.length, sha256: hash(bytes) });
      else manifest.files.push({ path: name, bytes: bytes.length, sha256: hash(bytes) });
    };
    const withRecord = async (text: string, kind = 'trainee'): Promise<Buffer> => {
      const bytes = Buffer.from(text);
      return zipped((all) => all.set(recordsPath(kind), bytes), truthful(recordsPath(kind), bytes));
    };
    const onlyOne = (kind: string): Record<string, unknown> => JSON.parse(entries.get(recordsPath(kind))!.toString());
    const someone = () => onlyOne('trainee');

    it('of an earlier version is one: what it could not say yet is as it begins', async () => {
      const { shownToClub, releasedAt, ...earlier } = onlyOne('training_session');
      expect([shownToClub, releasedAt]).to.deep.equal([false, null]);
      const older = await withRecord(JSON.stringify(earlier), 'training_session');
      const third = await club();
      try {
        expect((await read(third, older)).state).to.equal('ready');
        const [session] = await third.server.services.db.select().from(trainingSession);
        expect([session!.id, session!.shownToClub, session!.releasedAt]).to.deep.equal([earlier.id, false, null]);
        const { added, changed, refused } = totals((await read(third, older)).reading!);
        expect([added, changed, refused]).to.deep.equal([0, 0, 0]);
      } finally {
        await third.server.stop();
      }
    });
    /** A name that leads out is put in where an allowed one of the same length was. */
    const renamed = (bytes: Buffer, from: string, to: string): Buffer => {
      const text = bytes.toString('latin1');
      return Buffer.from(text.replaceAll(from, to.padEnd(from.length, 'x').slice(0, from.length)), 'latin1');
    };

    const wrong: [what: string, bytes: () => Promise<Buffer>, says: RegExp][] = [
      ['something else', () => Promise.resolve(randomBytes(5000)), /no archive, or it is cut short/],
      ['nothing at all', () => Promise.resolve(Buffer.alloc(1)), /no archive, or it is cut short/],
      ['cut short', async () => (await readFile(path)).subarray(0, 200_000), /cut short/],
      [
        'another zip',
        () => zipped((all) => all.delete(manifestPath) && all.set(manifestPath, Buffer.from('{}'))),
        /something else/,
      ],
      [
        'of a newer form',
        () =>
          zipped(
            () => undefined,
            (one) => void (one.version = archiveVersion + 1),
          ),
        /newer version of Wax Fist/,
      ],
      [
        'a film with other bytes',
        () => zipped((all) => all.set(`films/${scene.filmId}/original`, randomBytes(original.length))),
        /is not what it was/,
      ],
      [
        'bytes that were turned over on the way',
        async () => {
          const bytes = Buffer.from(await readFile(path));
          const at = bytes.indexOf(original.subarray(0, 32)) + 1000;
          bytes[at] = bytes[at]! ^ 1;
          return bytes;
        },
        /is not what it was|damaged/,
      ],
      ['a film that is missing', () => zipped((all) => all.delete(`films/${scene.filmId}/original`)), /is missing/],
      [
        'something that it does not tell of',
        () => zipped((all) => all.set('records/strike_more.jsonl', Buffer.from('{}'))),
        /does not say so of itself/,
      ],
      [
        'something that does not belong in it',
        () => zipped((all) => all.set('run-me.sh', Buffer.from('rm'))),
        /nothing that belongs/,
      ],
      [
        'a name that leads out of it',
        async () => renamed(await zipped(() => undefined), 'records/call_set.jsonl', '../../../../etc/passwd'),
        /leads out of it|nothing that belongs/,
      ],
      [
        'an absolute name',
        async () => renamed(await zipped(() => undefined), 'records/call_set.jsonl', '/tmp/call_set.jsonl'),
        /leads out of it|nothing that belongs/,
      ],
      [
        'the same thing twice',
        async () => renamed(await zipped(() => undefined), 'records/call_book.jsonl', 'records/film_step.jsonl'),
        /twice/,
      ],
      [
        'a line that is none',
        () => withRecord('{"id":\n'),
        /Line 1 of “records\/trainee.jsonl” is no trainee: it cannot be read/,
      ],
      [
        'a record with a field of another kind',
        () => withRecord(JSON.stringify({ ...someone(), stature: 'tall' })),
        /stature must be/,
      ],
      [
        'a record with a field too many',
        () => withRecord(JSON.stringify({ ...someone(), isAdmin: true })),
        /additional properties/,
      ],
      [
        'a record that no database takes',
        () => withRecord(JSON.stringify({ ...someone(), id: uuid(), stature: 900 })),
        /cannot be read in: .*stature of people/,
      ],
      [
        'gigabytes packed into nothing',
        () => {
          const zeros = Buffer.alloc(80 * 1024 ** 2);
          return zipped((all) => all.set(recordsPath('call_set'), zeros), truthful(recordsPath('call_set'), zeros));
        },
        /times its size/,
      ],
      [
        'ten thousand files too many',
        () =>
          zipped((all) => {
            for (let count = 0; count < 10_000; count++) all.set(`films/${uuid()}/original`, Buffer.from('x'));
          }),
        /does not say so of itself/,
      ],
    ];
    for (const [what, bytes, says] of wrong)
      it(what, async () => {
        const { db } = first.server.services;
        const before = await db.select().from(strike);
        const { state, reason } = await read(first, await bytes());
        expect(reason).to.match(says);
        expect(state).to.equal('failed');
        expect(await db.select().from(strike)).to.deep.equal(before);
        expect(await db.select().from(film)).to.have.length(2);
      });
  });
});
