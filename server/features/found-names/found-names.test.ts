import { changedNamesUrl, foundNameEndpoints, type FoundNames } from '@wax-fist/contract/found-names';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { packTimeline, timelineOf } from '@wax-fist/core/film';
import { noHitEdits } from '@wax-fist/core/sound';
import { usualGap } from '@wax-fist/core/rounds';
import { wholePicture, type FoundStrike } from '@wax-fist/core/strikes';
import { expect } from 'chai';
import { parse as parseCsv } from 'csv-parse/sync';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { film, filmHits } from '../../db/schema/index.ts';
import { thrown } from '../../test/marks.ts';
import { addScene, startServer, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('names that were found', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
  });
  after(() => server.stop());
  const names = async () => (await coach.ask<FoundNames>(foundNameEndpoints.foundNames)).body;

  it('tell nothing before anything is tagged', async () => {
    expect(await names()).to.deep.equal({ films: 0, names: [], sure: [], missed: [], tagged: 0 });
  });

  it('are held against what coaches tagged, with a strike to look at for each mistake', async () => {
    const { db } = server.services;
    const { filmId } = await addScene(server);
    const timeline = timelineOf(Array.from({ length: 1000 }, (_, frame) => frame * 20));
    await db
      .update(film)
      .set({ frames: 1000, timeline: Buffer.from(packTimeline(timeline)), state: 'ready' })
      .where(eq(film.id, filmId));
    const found = (time: number, technique: string): FoundStrike => ({
      ...{ time, prominence: 0.95, from: ['sight'], names: [{ technique, chance: 0.9 }], sound: undefined },
    });
    const both = [found(2000, 'jab'), found(4000, 'jab'), found(6000, 'cross'), found(8000, 'slip'), found(9000, 'jab')];
    const edits = { ...noHitEdits, source: 'both' as const, gap: usualGap, region: wholePicture, added: [], removed: [8000] };
    await db.insert(filmHits).values({ filmId, both, edits });
    const tag = (technique: string, contactFrame: number) =>
      thrown(uuid(), { technique, launchFrame: contactFrame - 8, contactFrame, homeFrame: contactFrame + 8 });
    const marks = [tag('jab', 100), tag('jab', 200), tag('overhand', 301), tag('lead-hook', 700)];
    await coach.ask(reviewEndpoints.writeMarks, { filmId }, { marks });

    const told = await names();
    expect(told).to.deep.include({ films: 1, tagged: 4 });
    const cross = told.names.find((one) => one.found === 'cross')!;
    expect(cross).to.deep.include({ strikes: 1, kept: 0 });
    const look = { filmId, time: 6000, strikeId: marks[2]!.strikeId };
    expect(cross.otherwise).to.deep.equal([{ said: 'overhand', times: 1, look }]);
    const slip = told.names.find((one) => one.found === 'slip')!;
    expect(slip.otherwise[0]).to.deep.include({ said: null, look: { filmId, time: 8000, strikeId: null } });
    expect(told.names.find((one) => one.found === 'jab')).to.deep.include({ strikes: 2, kept: 2 });
    expect(told.sure).to.deep.equal([{ from: 0.75, to: 0.9, strikes: 4, claimed: 0.855, kept: 0.5 }]);
    expect(told.missed.map(({ technique, times }) => [technique, times])).to.deep.equal([['lead-hook', 1]]);

    const table = await (await coach.fetch(changedNamesUrl)).text();
    const rows = parseCsv(table, { bom: true, fromLine: 2 }).map(([, ...row]) => row);
    expect(rows).to.deep.equal([
      ['6000', 'cross', '0.855', 'overhand'],
      ['8000', 'slip', '0.855', ''],
      ['14000', '', '', 'lead-hook'],
    ]);
  });

  it('are not told otherwise where a set was tagged as one', async () => {
    const before = await names();
    const { db } = server.services;
    const { filmId } = await addScene(server);
    const timeline = timelineOf(Array.from({ length: 1000 }, (_, frame) => frame * 20));
    await db
      .update(film)
      .set({ frames: 1000, timeline: Buffer.from(packTimeline(timeline)) })
      .where(eq(film.id, filmId));
    const names_ = [{ technique: 'jab', chance: 0.9 }];
    await db.insert(filmHits).values({ filmId, both: [{ time: 2000, prominence: 0.9, from: ['sight'], names: names_ }] });
    const set = thrown(uuid(), { technique: 'double-lead-hook', launchFrame: 80, contactFrame: 101, homeFrame: 140 });
    await coach.ask(reviewEndpoints.writeMarks, { filmId }, { marks: [set] });
    expect((await names()).names).to.deep.equal(before.names);
  });
});
