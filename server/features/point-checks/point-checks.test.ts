import { measureEndpoints, type SessionMeasures } from '@wax-fist/contract/measures';
import { pointCheckEndpoints, type AskedPoint, type PointChecks, type SaidPoint } from '@wax-fist/contract/point-checks';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { partOf, pointAt, pointIn, unpackTrack, type Track } from '@wax-fist/core/body';
import { logOfTrials, pointErrors } from '@wax-fist/core/measure';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { film, pointCheck } from '../../db/schema/index.ts';
import { pointsOfFilm } from '../../demo/footage.ts';
import { becomes, follow, tagsOf } from '../../test/followed-film.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

const name = 'lio-1-lead-side';

describe('points that coaches are asked for', function () {
  this.timeout(30_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  let track: Track;
  const learned = async () => (await coach.ask<PointChecks>(pointCheckEndpoints.pointChecks)).body;
  const asked = async () => (await coach.ask<AskedPoint[]>(pointCheckEndpoints.askedPoints)).body;
  const say = (body: SaidPoint, checkId = uuid(), who = coach) => who.ask(pointCheckEndpoints.sayPoint, { checkId }, body);
  /** Where a point was found, and a place that is so many times as far off as it is in trials. */
  const foundAt = ({ frame, point }: Pick<AskedPoint, 'frame' | 'point'>) => pointIn(track, frame, pointAt[point])!;
  function offBy(times: number, { film: { id: filmId }, frame, point, seen }: AskedPoint, trunk: number): SaidPoint {
    const { x, y } = foundAt({ frame, point });
    const [across] = pointErrors[partOf(point)!][seen]!;
    return { filmId, frame, point, x: x + times * Math.exp(logOfTrials.mean) * Math.hypot(across, 0.02) * trunk, y };
  }

  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
  });
  after(() => server.stop());

  it('are none as long as nobody was followed', async () => {
    expect(await asked()).to.deep.equal([]);
    expect(await learned()).to.deep.include({ films: 0, kinds: [], widenings: { all: 1.5, of: {} } });
  });

  describe('in a film', () => {
    before(async () => {
      const { db } = server.services;
      scene = await addScene(server);
      await becomes(db, scene, name, { state: 'ready', width: 1280, height: 720 });
      await follow(db, scene.filmId, name);
      track = unpackTrack(0, pointsOfFilm(name)!.packed);
      const marks = tagsOf(name);
      await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks });
    });
    beforeEach(() => server.services.db.delete(pointCheck));

    it('are chosen at random, of every kind alike, with the body in the picture and not with what was found', async () => {
      const [one, other] = [await asked(), await asked()];
      expect(one).to.have.length(20);
      expect(other).to.not.deep.equal(one);
      const kinds = one.map(({ point, seen }) => `${partOf(point)} ${seen}`);
      expect(new Set(kinds).size).to.be.at.least(15);
      for (const { frame, point, box, film: of, ...more } of one) {
        const { x, y } = foundAt({ frame, point });
        expect(x).to.be.within(box.x, box.x + box.width);
        expect(y).to.be.within(box.y, box.y + box.height);
        expect(of.id).to.equal(scene.filmId);
        expect(Object.keys(more)).to.deep.equal(['seen']);
      }
    });

    it('tell how far off the model is, and that much more is doubted of what is measured', async () => {
      const measured = async () =>
        (await coach.ask<SessionMeasures>(measureEndpoints.sessionMeasures, { sessionId: scene.sessionId })).body.values.filter(
          ({ checkpointId }) => checkpointId === 'st.chin',
        );
      const before = await measured();
      // The length of the trunk is told by what is written down of the first one, which is then put right: were it left where the model
      // had found it, the kind that happens to be first would be doubted less.
      const [first, ...others] = (await asked()) as [AskedPoint, ...AskedPoint[]];
      const firstId = uuid();
      await say(offBy(0, first, 1), firstId);
      const { trunk } = (await server.services.db.select().from(pointCheck))[0]!;
      expect((await say(offBy(4, first, trunk), firstId)).status).to.equal(204);
      for (const one of [...others, ...(await asked()), ...(await asked())])
        expect((await say(offBy(4, one, trunk))).status).to.equal(204);
      const { all, widenings } = await learned();
      expect(all.checks).to.equal(60);
      expect(all.low).to.be.above(1.5);
      expect(widenings.all).to.be.within(2, 4.5);
      const after = await measured();
      expect(after).to.have.length(before.length).and.not.have.length(0);
      for (const [place, { value, doubt }] of after.entries()) {
        expect(value).to.equal(before[place]!.value);
        expect(doubt / before[place]!.doubt).to.be.within(1.3, 3.5);
      }
    });

    it('are put right under the same id by whoever said it, and by nobody else', async () => {
      const [one, two] = (await asked()) as [AskedPoint, AskedPoint];
      const id = uuid();
      await say(offBy(1, one, 100), id);
      const hidden: SaidPoint = { ...offBy(1, one, 100), x: null, y: null };
      expect((await say(hidden, id)).status).to.equal(204);
      expect((await learned()).all).to.deep.include({ checks: 0, hidden: 1 });
      expect((await say(offBy(1, one, 100), id, await server.as('assistant'))).status).to.equal(409);
      expect((await say(offBy(1, two, 100), id)).status).to.equal(409);
      expect((await learned()).all).to.deep.include({ checks: 0, hidden: 1 });
    });

    it('are not taken where nobody was found, in no film, and with half a place', async () => {
      const [one] = (await asked()) as [AskedPoint];
      const right = offBy(1, one, 100);
      expect((await say({ ...right, frame: 100_000 })).status).to.equal(409);
      expect((await say({ ...right, filmId: uuid() })).status).to.equal(404);
      expect((await say({ ...right, y: null })).status).to.equal(422);
      expect((await say({ ...right, point: 'tail' as 'nose' })).status).to.equal(422);
    });

    it('are taken back by whoever said them, and by the head coach', async () => {
      const ids = [uuid(), uuid()];
      const points = await asked();
      for (const [place, id] of ids.entries()) await say(offBy(1, points[place]!, 100), id);
      const takeBack = (checkId: string, who: Visitor) => who.ask(pointCheckEndpoints.takePointBack, { checkId });
      expect((await takeBack(ids[0]!, await server.as('assistant'))).status).to.equal(403);
      expect((await takeBack(ids[0]!, coach)).status).to.equal(204);
      expect((await takeBack(ids[0]!, coach)).status).to.equal(404);
      expect((await takeBack(ids[1]!, await server.as('head-coach'))).status).to.equal(204);
      expect((await learned()).all).to.deep.include({ checks: 0, hidden: 0 });
    });

    it('go with their film', async () => {
      await say(offBy(1, (await asked())[0]!, 100));
      await server.services.db.delete(film).where(eq(film.id, scene.filmId));
      expect(await server.services.db.$count(pointCheck)).to.equal(0);
    });
  });
});
