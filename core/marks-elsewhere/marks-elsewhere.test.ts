import { expect } from 'chai';
import fc from 'fast-check';
import { timelineOf, timeOf } from '../film/index.ts';
import { annotationPage, csvOf, subRip, webVtt } from '../formats/index.ts';
import { verdictNames, verdicts } from '../review/index.ts';
import { checkpointName, shippedCatalogue, techniqueName, usualSchool } from '../technique/index.ts';
import {
  likelyMapping,
  readTable,
  saidInAnnotations,
  saidInTable,
  saidInTimedText,
  strikesElsewhere,
  textOfBytes,
  timeNamed,
  verdictNamed,
  type ReadElsewhere,
} from './index.ts';

const timeline = timelineOf(Array.from({ length: 3000 }, (_, frame) => (frame * 1000) / 59.94 + 3 * Math.sin(frame)));
const film = { catalogue: shippedCatalogue, school: usualSchool, timeline, strikes: [] };
const strike = fc.record({
  technique: fc.constantFrom('jab', 'cross', 'lead-hook', 'rear-round'),
  checkpointId: fc.constantFrom('gd.return-line', 'gd.other-hand', 'st.lean'),
  verdict: fc.constantFrom(...verdicts),
  note: fc.option(fc.constantFrom('late', 'over the hip; again', '=1+1', 'Ürgüp “x”')),
});
/** Strikes that follow each other in a film, a second apart. */
const strikes = fc.array(strike, { minLength: 1, maxLength: 20 }).map((all) =>
  all.map((one, place) => {
    const contactFrame = 60 + 60 * place;
    return { ...one, launchFrame: contactFrame - 12, contactFrame, homeFrame: contactFrame + 20 };
  }),
);
type Thrown = typeof strikes extends fc.Arbitrary<infer All> ? All : never;
const at = (frame: number): number => timeOf(timeline, frame);
const named = ({ technique, checkpointId }: Thrown[number]) =>
  [techniqueName(shippedCatalogue, technique), checkpointName(shippedCatalogue, checkpointId)] as const;
const asWritten = (all: Thrown) =>
  all.map(({ technique, checkpointId, verdict, note }) => ({ technique, checkpointId, verdict, note }));
const asRead = ({ said, problems }: ReadElsewhere) => {
  const { strikes: read, problems: unnamed } = strikesElsewhere(said, film);
  expect([...problems, ...unnamed]).to.deep.equal([]);
  return read;
};
const told = (all: ReturnType<typeof asRead>) =>
  all.map(({ technique, verdicts: [one] }) => ({
    technique,
    checkpointId: one!.checkpointId,
    verdict: one!.verdict,
    note: one!.note,
  }));

describe('marks made elsewhere', () => {
  it('come out of a table as they went into it, whatever stands between its cells', () => {
    fc.assert(
      fc.property(strikes, fc.constantFrom(',', ';', '\t'), (all, delimiter) => {
        const rows = all.map((one) => [
          ...named(one),
          ...[one.launchFrame, one.contactFrame, one.homeFrame].map((frame) => Math.round(at(frame))),
          one.verdict,
          one.note,
        ]);
        const text = csvOf(['technique', 'checkpoint', 'launch ms', 'contact ms', 'home ms', 'verdict', 'note'], rows);
        const parts = delimiter === ',' ? text : rewritten(text, delimiter);
        const table = readTable(parts);
        const mapping = likelyMapping(table);
        expect(mapping.unit).to.equal('milliseconds');
        const read = asRead(saidInTable(table, mapping));
        expect(told(read)).to.deep.equal(asWritten(all));
        expect(read.map(({ contactFrame }) => contactFrame)).to.deep.equal(all.map(({ contactFrame }) => contactFrame));
        expect(read.every(({ launchOrigin, homeOrigin }) => launchOrigin === 'set' && homeOrigin === 'set')).to.equal(true);
      }),
    );
  });
  /** The same table with other signs between cells. */
  const rewritten = (text: string, delimiter: string): string => {
    const { columns, rows } = readTable(text);
    const quoted = (cell: string): string => `"${cell.replaceAll('"', '""')}"`;
    return [columns, ...rows.map(({ cells }) => cells)].map((cells) => cells.map(quoted).join(delimiter)).join('\n');
  };

  it('come out of timed text as they went into it, launch and home to the thousandth', () => {
    fc.assert(
      fc.property(strikes, fc.boolean(), (all, older) => {
        const cues = all.map((one, place) => {
          const [technique, checkpoint] = named(one);
          const word = [`${checkpoint}: ${verdictNames[one.verdict].toLowerCase()}`, one.note].filter(Boolean).join(', ');
          return { id: String(place), from: at(one.launchFrame), to: at(one.homeFrame), lines: [technique, word] };
        });
        const read = asRead(saidInTimedText(older ? subRip(cues) : webVtt(cues, 'Round')));
        expect(told(read)).to.deep.equal(asWritten(all));
        for (const [place, { launchFrame, homeFrame, contactOrigin }] of read.entries()) {
          expect([launchFrame, homeFrame]).to.deep.equal([all[place]!.launchFrame, all[place]!.homeFrame]);
          expect(contactOrigin).to.equal('guessed');
        }
      }),
    );
  });

  it('come out of web annotations as they went into them', () => {
    fc.assert(
      fc.property(strikes, fc.uuid(), (all, id) => {
        const page = annotationPage(
          all.map((one) => ({
            ...{ id, filmId: id, from: at(one.launchFrame), to: at(one.homeFrame), region: null, saidBy: 'A coach', saidAt: '' },
            ...one,
          })),
          id,
        );
        expect(told(asRead(saidInAnnotations(JSON.stringify(page))))).to.deep.equal(asWritten(all));
      }),
    );
  });

  it('of one strike are put together, and one that the film has is that one', () => {
    const table = readTable('time,technique,checkpoint,verdict\n1.0,jab,return line,fault\n1.05,Jab,other hand home,ok\n2,jab,,');
    const read = asRead(saidInTable(table, likelyMapping(table)));
    expect(read.map((one) => one.verdicts.map(({ verdict }) => verdict))).to.deep.equal([['fault', 'clean'], []]);
    const here = [
      {
        strikeId: 'known',
        technique: 'jab',
        contactFrame: read[0]!.contactFrame + 2,
        verdicts: [{ checkpointId: 'gd.return-line', verdict: 'fault' as const, note: null }],
      },
    ];
    const { strikes: met } = strikesElsewhere(saidInTable(table, likelyMapping(table)).said, { ...film, strikes: here });
    expect(met.map(({ strikeId }) => strikeId)).to.deep.equal(['known', undefined]);
    expect(met[0]!.contactFrame).to.equal(here[0]!.contactFrame);
    // What stands already is not said again.
    expect(met[0]!.verdicts.map(({ verdict }) => verdict)).to.deep.equal(['clean']);
  });

  it('that cannot be read are named, each with its row and why, and the others are read', () => {
    const rows = [
      'time;technique;checkpoint;verdict',
      '0,5;jab;Return line;fault',
      'soon;jab;;',
      ';cross;;',
      '3;;;',
      '4;flying elbow of doom;;',
      '5;jab;Nobody knows;fault',
      '6;jab;Return line;purple',
      '9999;jab;;',
      '0.5;jab;Return line;clean',
    ];
    const table = readTable(rows.join('\r\n'));
    expect(table.delimiter).to.equal(';');
    const { said, problems } = saidInTable(table, likelyMapping(table));
    const { strikes: read, problems: unnamed } = strikesElsewhere(said, film);
    expect(read).to.have.length(1);
    expect(
      [...problems, ...unnamed].sort((a, b) => a.place - b.place).map(({ place, says }) => `${place}: ${says.slice(0, 28)}`),
    ).to.deep.equal([
      '3: “soon” is no time.',
      '4: It does not tell when it lan',
      '5: It does not tell what was th',
      '6: “flying elbow of doom” is no',
      '7: “Nobody knows” is no checkpo',
      '8: “purple” is no verdict: clea',
      '9: The film has ended by then.',
      '10: This checkpoint of this stri',
    ]);
  });

  it('are read in Latin-1 as well as in UTF-8', () => {
    const latin = Uint8Array.from(Array.from('Zeit;\xdcbung', (letter) => letter.charCodeAt(0)));
    expect(textOfBytes(latin)).to.equal('Zeit;Übung');
    expect(textOfBytes(new TextEncoder().encode('Zeit;Übung'))).to.equal('Zeit;Übung');
  });

  const times: [text: string, unit: 'seconds' | 'milliseconds', expected: number | undefined][] = [
    ['1:02:03.5', 'seconds', 3_723_500],
    ['2:03.25', 'milliseconds', 123_250],
    ['12,5', 'seconds', 12_500],
    ['12500', 'milliseconds', 12_500],
    ['-1', 'seconds', undefined],
    ['later', 'seconds', undefined],
  ];
  for (const [text, unit, expected] of times)
    it(`“${text}” is ${expected}`, () => expect(timeNamed(text, unit)).to.equal(expected));

  it('say verdicts in many words', () => {
    expect(['Clean', 'OK', 'Bad', 'can’t see', 'not seen', 'perhaps'].map(verdictNamed)).to.deep.equal([
      ...['clean', 'clean', 'fault', 'cant-see', 'cant-see'],
      undefined,
    ]);
  });

  it('are not read out of anything at all', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const table = readTable(text);
        for (const { said } of [saidInTable(table, likelyMapping(table)), saidInTimedText(text), saidInAnnotations(text)])
          expect(
            strikesElsewhere(said, film).strikes.every(({ technique }) => shippedCatalogue.techniques.has(technique)),
          ).to.equal(true);
      }),
    );
  });
});
