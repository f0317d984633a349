import { expect } from 'chai';
import { parse as parseCsv } from 'csv-parse/sync';
import fc from 'fast-check';
import ICAL from 'ical.js';
import webvtt from 'webvtt-parser';
import { emptyTrack, numbersOfFrame, numbersOfPoint, pointIn, pointNames } from '../body/index.ts';
import { timelineOf } from '../film/index.ts';
import { verdicts } from '../review/index.ts';
import {
  annotationPage,
  calendarOf,
  csvOf,
  pointsDocument,
  readAnnotations,
  subRip,
  trackOfPoints,
  webVtt,
  type AnnotatedVerdict,
  type Cell,
  type Cue,
} from './index.ts';

/** As people type, with what a format could stumble over. */
const typed = fc.oneof(
  fc.string({ minLength: 1, maxLength: 30 }),
  fc.constantFrom(
    'a --> b',
    '<b>&amp;</b>',
    'two\nlines',
    '"quoted", twice',
    '=SUM(A1)',
    '+1',
    '-x',
    '@me',
    'für Åse, 拳',
    'a;b,c',
  ),
);
const oneLine = (text: string): string => text.replace(/\s+/g, ' ').replaceAll('-->', '→').trim();
const cue = fc
  .record({
    id: fc.uuid(),
    from: fc.integer({ min: 0, max: 7_200_000 }),
    lasts: fc.integer({ min: 1, max: 9000 }),
    lines: fc.array(
      typed.filter((text) => oneLine(text) !== ''),
      { minLength: 1, maxLength: 3 },
    ),
  })
  .map(({ lasts, ...one }): Cue => ({ ...one, to: one.from + lasts }));
const inOrder = (cues: readonly Cue[]): Cue[] => [...cues].sort((a, b) => a.from - b.from || b.to - a.to);

describe('timed text', () => {
  it('is read by another parser as it was written: times, ids and words', () => {
    fc.assert(
      fc.property(fc.array(cue, { maxLength: 12 }), (cues) => {
        const { cues: read, errors } = new webvtt.WebVTTParser().parse(webVtt(cues, 'Round one'));
        expect(errors).to.deep.equal([]);
        const wanted = inOrder(cues);
        expect(read.map(({ id }) => id)).to.deep.equal(wanted.map(({ id }) => id));
        for (const [place, { startTime, endTime, text }] of read.entries()) {
          const { from, to, lines } = wanted[place]!;
          expect(startTime).to.be.closeTo(from / 1000, 1e-6);
          expect(endTime).to.be.closeTo(Math.max(to, from + 1) / 1000, 1e-6);
          const told = text.replaceAll('&lt;', '<').replaceAll('&gt;', '>').replaceAll('&amp;', '&');
          expect(told).to.equal(lines.map(oneLine).join('\n'));
        }
      }),
    );
  });

  it('is numbered from one, with a comma before the thousandths, in the older form', () => {
    const cues = [
      { id: 'b', from: 3_661_005, to: 3_661_900, lines: ['Cross', 'other hand: fault'] },
      { id: 'a', from: 0, to: 0, lines: ['Jab'] },
    ];
    expect(subRip(cues)).to.equal(
      '1\n00:00:00,000 --> 00:00:00,001\nJab\n\n2\n01:01:01,005 --> 01:01:01,900\nCross\nother hand: fault\n\n',
    );
  });
});

describe('a table', () => {
  const cell: fc.Arbitrary<Cell> = fc.oneof(
    typed,
    fc.integer(),
    fc.double({ noNaN: true, noDefaultInfinity: true }),
    fc.constant(null),
  );
  /** What a spreadsheet reads out of it. */
  const readAs = (value: Cell): string => {
    if (value === null || value === undefined) return '';
    if (typeof value === 'number') return String(value);
    return /^[=+\-@\t\r]/.test(value) ? `'${value}` : value;
  };

  it('is read by another parser as it was written, and holds no formula', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 10 }), (rows) => {
        const text = csvOf(['one', 'two, or 2', 'three'], rows);
        expect(text.startsWith('\uFEFF')).to.equal(true);
        const read = parseCsv(text, { bom: true, relax_column_count: false, record_delimiter: '\r\n' });
        expect(read[0]).to.deep.equal(['one', 'two, or 2', 'three']);
        expect(read.slice(1)).to.deep.equal(rows.map((row) => row.map(readAs)));
        for (const [place, row] of rows.entries())
          for (const [at, value] of row.entries())
            if (typeof value === 'string') expect(read[place + 1]![at]!).to.not.match(/^[=+\-@\t\r]/);
      }),
    );
  });
});

describe('a calendar', () => {
  const day = fc
    .date({ min: new Date('2020-01-01'), max: new Date('2090-12-30'), noInvalidDate: true })
    .map((date) => date.toISOString().slice(0, 10));

  it('is read by another parser: whole days, each with an id that stays and a version', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ id: fc.uuid(), version: fc.nat(50), day, title: typed, description: typed }), {
          minLength: 1,
          maxLength: 5,
        }),
        (days) => {
          const calendar = new ICAL.Component(ICAL.parse(calendarOf(days, 'Re-checks')));
          const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
          expect(events.map(({ uid }) => uid)).to.deep.equal(days.map(({ id }) => `${id}@wax-fist`));
          expect(events.map(({ startDate }) => startDate.toString())).to.deep.equal(days.map((one) => one.day));
          expect(
            events.every(({ startDate, endDate }) => startDate.isDate && endDate.subtractDate(startDate).toSeconds() === 86_400),
          ).to.equal(true);
          expect(events.map(({ sequence }) => sequence)).to.deep.equal(days.map(({ version }) => version));
        },
      ),
    );
  });

  it('refuses a day that there is not', () => {
    const one = { id: 'a', version: 0, day: 'soon', title: 'x', description: '' };
    expect(() => calendarOf([one], 'Re-checks')).to.throw();
  });
});

describe('annotations', () => {
  const annotated: fc.Arbitrary<AnnotatedVerdict> = fc.record({
    id: fc.uuid(),
    filmId: fc.uuid(),
    from: fc.integer({ min: 0, max: 7_200_000 }),
    to: fc.integer({ min: 0, max: 7_200_000 }),
    region: fc.option(
      fc.record({
        unit: fc.constantFrom('pixel' as const, 'percent' as const),
        ...{ x: fc.nat(4000), y: fc.nat(4000), width: fc.nat(4000), height: fc.nat(4000) },
      }),
    ),
    technique: fc.constantFrom('jab', 'lead-hook'),
    checkpointId: fc.constantFrom('gd.return-line', 'st.lean'),
    verdict: fc.constantFrom(...verdicts),
    note: fc.option(typed),
    saidBy: typed,
    saidAt: fc.constant('2026-03-01T10:00:00.000Z'),
  });

  it('come back as they went, through their own text', () => {
    fc.assert(
      fc.property(fc.array(annotated, { maxLength: 8 }), (all) => {
        const text = JSON.stringify(annotationPage(all, '00000000-0000-4000-8000-000000000000'));
        expect(readAnnotations(JSON.parse(text))).to.deep.equal({ verdicts: all, problems: [] });
      }),
    );
  });

  it('are read with their parts told in another order, or in pixels without saying so', () => {
    const [good] = fc.sample(annotated, 1) as [AnnotatedVerdict];
    const [item] = annotationPage([good], good.id).items;
    const read = (value: string) =>
      readAnnotations({ ...item, target: { ...item!.target, selector: { value } } }).verdicts.map(({ from, to, region }) => [
        from,
        to,
        region,
      ]);
    const region = { unit: 'pixel', x: 1, y: 2, width: 30.5, height: 4 };
    expect(read('xywh=1,2,30.5,4&t=1,2.5')).to.deep.equal([[1000, 2500, region]]);
    expect(read('t=npt:1,2.5&xywh=half')).to.deep.equal([[1000, 2500, null]]);
  });

  it('are refused one by one, each with its reason', () => {
    const [good] = fc.sample(annotated, 1) as [AnnotatedVerdict];
    const { items } = annotationPage([good, good, good, good], good.id);
    const wrong = [
      items[0],
      { ...items[1], target: { source: 'film.mp4' } },
      { ...items[2], target: { ...items[2]!.target, selector: { value: 'xywh=0,0,10,10' } } },
      { ...items[3], body: [] },
      7,
    ];
    const { verdicts: read, problems } = readAnnotations({ items: wrong });
    expect(read).to.deep.equal([good]);
    expect(problems.map(({ place }) => place)).to.deep.equal([1, 2, 3, 4]);
  });

  it('are not read out of anything at all', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        expect(readAnnotations(value).verdicts).to.deep.equal([]);
      }),
    );
  });
});

describe('points of the body', () => {
  it('stand in every frame at their places, and nobody stands as nothing', () => {
    const track = emptyTrack(0, 3);
    for (let point = 0; point < pointNames.length; point++)
      track.values.set([point, 2 * point, 1 - point, 0.5], numbersOfFrame + point * numbersOfPoint);
    const timeline = timelineOf([0, 33.34, 71]);
    const told = pointsDocument(track, timeline, { film: 'round.mp4', width: 640, height: 360 });
    const read = JSON.parse(JSON.stringify(told)) as typeof told;
    expect(read).to.deep.equal(told);
    expect(read.frames.map(({ time, points }) => [time, points?.length])).to.deep.equal([
      [0, undefined],
      [33.3, 4 * pointNames.length],
      [71, undefined],
    ]);
    const at = read.points.indexOf('leftWrist');
    expect(read.frames[1]!.points!.slice(4 * at, 4 * at + 4)).to.deep.equal([at, 2 * at, 1 - at, 0.5]);
    expect(trackOfPoints(read, 640)).to.deep.equal(track);
    const larger = trackOfPoints(read, 1280)!;
    expect(pointIn(larger, 1, 7)).to.deep.equal({ x: 14, y: 28, depth: -12, seen: 0.5 });
  });

  it('are read only where they are whole, in their order, and of this version', () => {
    const told = pointsDocument(emptyTrack(0, 2), timelineOf([0, 33]), { film: 'round.mp4', width: 640, height: 360 });
    expect(trackOfPoints(told, 640)?.frames).to.equal(2);
    const others: unknown[] = [
      ...[undefined, null, 7, 'points', [], {}],
      ...[
        { ...told, version: 2 },
        { ...told, format: 'points' },
        { ...told, points: [...told.points].reverse() },
      ],
      ...[
        { ...told, frames: undefined },
        { ...told, frames: [null] },
        { ...told, frames: [{ time: 0, points: [1, 2, 3] }] },
      ],
      { ...told, frames: [{ time: 0, points: told.points.flatMap(() => ['1', '2', '3', '4']) }] },
    ];
    for (const other of others) expect(trackOfPoints(other, 640), JSON.stringify(other)).to.equal(undefined);
  });
});
