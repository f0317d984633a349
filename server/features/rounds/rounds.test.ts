import { filledPath } from '@wax-fist/contract/endpoint';
import { filmFileUrl, footageEndpoints } from '@wax-fist/contract/footage';
import { roundEndpoints, type HitsAndRounds } from '@wax-fist/contract/rounds';
import { alignmentEndpoints, type SavedAlignment } from '@wax-fist/contract/alignments';
import { findMotion } from '@wax-fist/core/strikes';
import { hitsOf, noHitEdits } from '@wax-fist/core/sound';
import { unpackTimeline } from '@wax-fist/core/film';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { filmHits } from '../../db/schema/index.ts';
import { importFilm } from '../../test/import-film.ts';
import { blows, ffmpeg, goodFilms, made } from '../../test/films.ts';
import { eventually } from '../../test/eventually.ts';
import { addScene, startServer, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('moments', function () {
  this.timeout(90_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let sessionId: string;
  let otherSession: string;
  let folder: string;
  let heard: string;
  before(async () => {
    server = await startServer();
    coach = await server.as('coach');
    ({ sessionId } = await addScene(server));
    ({ sessionId: otherSession } = await addScene(server));
    folder = await mkdtemp(join(tmpdir(), 'wax-fist-moments-'));
    heard = await imported('heard.mp4', (path) => blows(9, 0, path));
  });
  after(async () => {
    await server.stop();
    await rm(folder, { recursive: true });
  });

  async function imported(name: string, make: (path: string) => Promise<unknown>, into = sessionId): Promise<string> {
    const film = await importFilm(coach, into, await made(folder, name, make));
    expect(film.state, film.remark ?? name).to.equal('ready');
    return film.id;
  }
  const shown = async (filmId: string): Promise<HitsAndRounds> =>
    (await coach.ask<HitsAndRounds>(roundEndpoints.showHitsAndRounds, { filmId })).body;
  const hitTimes = ({ sound, motion, edits }: HitsAndRounds): number[] =>
    hitsOf({ sound: sound ?? [], motion: motion ?? [] }, edits).map(({ time }) => time);
  const truth = Array.from({ length: 10 }, (_, place) => 1600 + 800 * place).filter((time) => time < 8900);

  it('hits are heard where they are, and a round is proposed with what the session was about', async () => {
    const moments = await shown(heard);
    const times = hitTimes(moments);
    expect(times).to.have.length(truth.length);
    times.forEach((time, place) => expect(time).to.be.closeTo(truth[place]!, 12));
    expect(moments.rounds).to.have.length(1);
    expect(moments.rounds[0]).to.deep.include({ name: 'Round 1', kind: 'heavy bag', proposed: true });
  });

  it('hits are where they are seen when the sound begins later than the picture', async () => {
    const filmId = await imported('late.mp4', (path) => blows(9, 1.3, path));
    const times = hitTimes(await shown(filmId));
    expect(times.length).to.be.at.least(7);
    times.forEach((time, place) => expect(time).to.be.closeTo(truth[place]! + 1300, 30));
  });

  it('a film without sound is looked at by eye: movement in a region, less sure', async () => {
    const make = (path: string) =>
      ffmpeg(
        '-f',
        'lavfi',
        '-i',
        'color=black:s=320x180:r=30:d=6',
        '-f',
        'lavfi',
        '-i',
        'color=white:s=60x60:r=30:d=6',
        '-filter_complex',
        "overlay=x='40+mod(floor(t/1.5)\\,2)*30':y=60",
        '-c:v',
        'libx264',
        '-pix_fmt',
        'yuv420p',
        path,
      );
    const filmId = await imported('shadow.mp4', make);
    const moments = await shown(filmId);
    expect(moments.sound).to.equal(null);
    expect(moments.edits.source).to.equal('motion');
    const bytes = async (path: string): Promise<Uint8Array> => new Uint8Array(await (await coach.fetch(path)).arrayBuffer());
    const timeline = unpackTimeline(await bytes(filledPath(footageEndpoints.filmTimeline.path, { filmId })));
    const movement = await bytes(filmFileUrl(filmId, 'motion.bin'));
    const left = findMotion(movement, timeline, { left: 0, top: 0, width: 0.5, height: 1 });
    expect(left.map(({ time }) => Math.round(time / 100))).to.deep.equal([15, 30, 45]);
    expect(moments.motion!.map(({ time }) => time)).to.deep.equal(left.map(({ time }) => time));
    expect(Math.max(...left.map(({ prominence }) => prominence))).to.be.at.most(0.8);
    expect(findMotion(movement, timeline, { left: 0.6, top: 0, width: 0.4, height: 1 })).to.deep.equal([]);
  });

  it('a hit that a coach takes out stays out; a change made from an old state is refused and harms nothing', async () => {
    const { edits, version } = await shown(heard);
    const wish = { ...edits, removed: [hitTimes(await shown(heard))[0]!], added: [5000], sensitivity: 0.6 };
    const save = (basedOn: number, change = {}) =>
      coach.ask<HitsAndRounds>(roundEndpoints.saveHits, { filmId: heard }, { edits: { ...wish, ...change }, basedOn });
    const saved = await save(version);
    expect(saved.body.version).to.equal(version + 1);
    expect(hitTimes(await shown(heard))).to.have.length(truth.length);
    expect((await save(version, { removed: [] })).status).to.equal(409);
    expect((await shown(heard)).edits).to.deep.equal(wish);
    expect((await save(version + 1, { sensitivity: 2 })).status).to.equal(422);
  });

  it('what an older version kept of them lacks nothing that can be said now', async () => {
    const { edits } = await shown(heard);
    const { leastLevel: _, ...older } = edits;
    await server.services.db
      .update(filmHits)
      .set({ edits: older as typeof edits })
      .where(eq(filmHits.filmId, heard));
    expect((await shown(heard)).edits).to.deep.equal({ ...edits, leastLevel: noHitEdits.leastLevel });
  });

  it('rounds are kept as the coach cut them; overlapping ones and ones that end before they begin are refused', async () => {
    const { version } = await shown(heard);
    const round = (from: number, to: number) => ({
      id: uuid(),
      name: 'One',
      from,
      to,
      kind: 'Thai pads',
      manner: 'called',
      proposed: false,
    });
    const save = (rounds: object[], basedOn = version) =>
      coach.ask<HitsAndRounds>(roundEndpoints.saveRounds, { filmId: heard }, { rounds, basedOn });
    expect((await save([round(0, 3000), round(2000, 4000)])).body).to.deep.include({ message: 'Two rounds overlap.' });
    expect((await save([round(3000, 3000)])).status).to.equal(422);
    const { body } = await save([round(4000, 8000), round(0, 4000)]);
    expect(body.rounds.map(({ from, to, kind }) => [from, to, kind])).to.deep.equal([
      [0, 4000, 'Thai pads'],
      [4000, 8000, 'Thai pads'],
    ]);
    await coach.ask(footageEndpoints.retryFilm, { filmId: heard });
    expect((await shown(heard)).rounds).to.have.length(2);
  });

  describe('two films of one round', () => {
    let other: string;
    before(async () => {
      // Blows that come ever faster: no part of them sounds like another.
      heard = await imported('uneven.mp4', (path) => blows(16, 0, path, 'mod(0.9*t+0.05*t*t,1)'));
      const source = join(folder, 'uneven.mp4');
      other = await imported('other-side.mp4', (path) =>
        ffmpeg(
          '-ss',
          '0.75',
          '-i',
          source,
          '-af',
          'lowpass=f=3000,volume=0.5',
          '-c:v',
          'libx264',
          '-pix_fmt',
          'yuv420p',
          '-c:a',
          'aac',
          path,
        ),
      );
    });
    const ties = async (filmId: string): Promise<SavedAlignment[]> =>
      (await coach.ask<SavedAlignment[]>(alignmentEndpoints.showAlignments, { filmId })).body;
    const tieOf = async (filmId: string, otherId: string) => (await ties(filmId)).find((one) => one.otherId === otherId);

    it('are tied by their sound, and told from either side', async () => {
      const [there, back] = [await tieOf(heard, other), await tieOf(other, heard)];
      expect(there!.offset).to.be.closeTo(-750, 5);
      expect(back!.offset).to.be.closeTo(750, 5);
      expect(there!.fit).to.be.above(0.4);
    });

    it('can be tied by hand, which no listening replaces until it is asked for', async () => {
      const tie = (filmId: string, otherId: string) =>
        coach.ask<SavedAlignment>(alignmentEndpoints.saveAlignment, { filmId, otherId }, { offset: 700 });
      expect((await tie(other, heard)).body).to.deep.include({ offset: 700, fit: null });
      expect((await tieOf(heard, other))!.offset).to.be.closeTo(-700, 0.001);
      await coach.ask(alignmentEndpoints.listenAgain, { filmId: heard, otherId: other });
      await eventually('a tie by ear', () => tieOf(heard, other), Boolean);
      expect((await tieOf(heard, other))!.offset).to.be.closeTo(-750, 5);
    });

    it('of two sessions are not tied', async () => {
      const stranger = await imported('stranger.mp4', goodFilms['tiny.mp4']!, otherSession);
      const answer = await coach.ask(alignmentEndpoints.saveAlignment, { filmId: heard, otherId: stranger }, { offset: 0 });
      expect(answer.status).to.equal(409);
    });
  });
});
