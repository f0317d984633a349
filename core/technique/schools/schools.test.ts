import { expect } from 'chai';
import fc from 'fast-check';
import {
  bandProblem,
  catalogueOf,
  checklistFor,
  chosen,
  differencesOfSchools,
  differentSwitches,
  drawnIn,
  fixedFaults,
  noClubEdits,
  readySchools,
  shippedCatalogue,
  switches,
  techniques,
  termOf,
  usualSchool,
  verdictIn,
  type ChecklistRow,
  type School,
} from '../index.ts';

const rowOf = (technique: string, checkpoint: string, school: School): ChecklistRow | undefined =>
  checklistFor(shippedCatalogue, technique, { school, view: 'quarter' }).find((row) => row.checkpoint.id === checkpoint);
const withChoice = (id: string, choice: string): School => ({ name: 'one', choices: { ...usualSchool.choices, [id]: choice } });

describe('schools', () => {
  it('give every side of every switch a reason of its own', () => {
    const reasons = switches.flatMap(({ choices }) => choices.map(({ reason }) => reason));
    expect(new Set(reasons).size).to.equal(reasons.length);
    for (const { choices } of switches) expect(choices.length).to.be.at.least(2);
    for (const reason of reasons) expect(reason).to.match(/^[A-Z].*\.$/);
  });

  it('that are ready-made choose what there is to choose', () => {
    for (const school of readySchools) {
      for (const { id, choices } of switches)
        expect(
          choices.map((one) => one.id),
          `${school.name} ${id}`,
        ).to.include(school.choices[id]);
    }
    expect(new Set(readySchools.map(({ id }) => id)).size).to.equal(readySchools.length);
  });

  for (const { id, choices } of switches) {
    it(`${id}: its choices differ in what they ask somewhere`, () => {
      for (const [place, one] of choices.entries()) {
        for (const other of choices.slice(place + 1)) {
          const said = differencesOfSchools(shippedCatalogue, withChoice(id, one.id), withChoice(id, other.id));
          expect(said, `${one.id} and ${other.id}`).to.not.be.empty;
        }
      }
    });
  }

  it('change nothing where nothing is switched', () => {
    expect(differencesOfSchools(shippedCatalogue, usualSchool, { ...usualSchool, name: 'another name' })).to.deep.equal([]);
    expect(differentSwitches(usualSchool, readySchools[2])).to.include('intent').and.not.include('terms');
  });

  it('fall back on the first choice of a switch that they do not know', () => {
    expect(chosen({ name: 'old', choices: {} }, 'arm').id).to.equal('full');
  });

  it('move the band of the arm, and never to where it is locked', () => {
    const band = (choice: string) => rowOf('jab', 'sm.extension', withChoice('arm', choice))!.band!;
    expect(verdictIn(band('full'), 172)).to.equal('clean');
    expect(verdictIn(band('bent'), 172)).to.equal('watch');
    expect(verdictIn(band('bent'), 155)).to.equal('clean');
    for (const choice of ['full', 'bent']) expect(verdictIn(band(choice), 179.5)).to.equal('fault');
  });

  it('only tell the snap of a power round, and add or drop rows', () => {
    expect(rowOf('cross', 'sm.snap', withChoice('intent', 'drive'))!.reported).to.equal(true);
    expect(rowOf('cross', 'sm.snap', usualSchool)!.reported).to.equal(false);
    expect(rowOf('jab', 'pv.lead-turn', usualSchool)).to.equal(undefined);
    expect(rowOf('jab', 'pv.lead-turn', withChoice('jab-body', 'small-turn'))!.bandBy).to.equal('school');
    expect(rowOf('lead-body-hook', 'sm.level', withChoice('body-hook-fist', 'thumb-up'))).to.equal(undefined);
  });

  it('have their own names', () => {
    expect(termOf(usualSchool, 'rear-round')).to.equal(undefined);
    expect(termOf(withChoice('terms', 'hook-front'), 'rear-round')).to.equal('Rear hook kick');
  });

  it('never allow what is a fault in every school', () => {
    const anySchool = fc.record(
      Object.fromEntries(switches.map(({ id, choices }) => [id, fc.constantFrom(...choices.map((one) => one.id))])),
    ) as fc.Arbitrary<School['choices']>;
    fc.assert(
      fc.property(anySchool, (choices) => {
        for (const { id } of techniques) {
          for (const row of checklistFor(shippedCatalogue, id, { school: { name: 'any', choices }, view: 'quarter' })) {
            if (row.band) expect(bandProblem(row.band), `${id} ${row.checkpoint.id}`).to.equal(undefined);
            if (row.fixed) expect(row.reported, `${id} ${row.checkpoint.id}`).to.equal(false);
          }
        }
      }),
      { numRuns: 15 },
    );
    expect(verdictIn(rowOf('rear-round', 'pv.support-turn', readySchools[2])!.band!, 40)).to.equal('fault');
  });

  it('draw a band in to what is fixed, whatever it was', () => {
    const number = fc.double({ min: -200, max: 200, noNaN: true });
    for (const fault of fixedFaults.filter((one) => one.within)) {
      fc.assert(
        fc.property(fc.tuple(number, number, number, number), (ends) => {
          const [a, b, c, d] = [...ends].sort((one, other) => one - other) as [number, number, number, number];
          fc.pre(a < b && b < c && c < d);
          const band = drawnIn({ clean: [b, c], watch: [a, d] }, fault);
          const [least, most] = fault.within!;
          if (most !== null) expect(verdictIn(band, most + 0.001)).to.equal('fault');
          if (least !== null) expect(verdictIn(band, least - 0.001)).to.equal('fault');
        }),
      );
    }
  });

  it('are the same with a club’s edits that change nothing', () => {
    expect(checklistFor(catalogueOf(noClubEdits), 'cross', { school: usualSchool, view: 'front' })).to.deep.equal(
      checklistFor(shippedCatalogue, 'cross', { school: usualSchool, view: 'front' }),
    );
  });
});
