import { parseCombination, sixCall } from '@wax-fist/core/calls';
import { checklistFor, readySchools, shippedCatalogue, usualSchool } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { demoCoaches, demoSets, demoTrainees } from './club.ts';
import { marksFromTruth, type FilmTruth } from './marks-from-truth.ts';

const footage = join(import.meta.dirname, '../../simulator/footage');

describe('demo club', () => {
  const clips = demoTrainees.flatMap(({ sessions }) => sessions.flatMap((session) => session.clips));

  it('has only addresses that lead nowhere', () => {
    for (const { email } of demoCoaches) expect(email).to.match(/\.example$/);
  });

  for (const { film, view, rows } of clips) {
    it(`${film} ships with its truth, is small, and is judged only on rows that its view shows`, () => {
      expect(existsSync(join(footage, `${film}.truth.json.gz`))).to.equal(true);
      expect(statSync(join(footage, `${film}.mp4`)).size).to.be.below(4e6);
      const shown = ['jab', 'cross']
        .flatMap((id) => checklistFor(shippedCatalogue, id, { school: usualSchool, view }))
        .filter((row) => row.shown);
      for (const id of rows ?? []) {
        expect(shown.map(({ checkpoint }) => checkpoint.id)).to.include(id);
      }
    });
  }

  it('has sets that can be read, and a school of its own only where there is one', () => {
    for (const { recipe } of demoSets) {
      expect(parseCombination(recipe, { book: sixCall, catalogue: shippedCatalogue }).ok, recipe).to.equal(true);
    }
    const schools = readySchools.map(({ id }) => id as string);
    for (const { schoolId } of demoTrainees) if (schoolId) expect(schools).to.include(schoolId);
  });

  it('opens its corrections from rows that were judged', () => {
    for (const { corrections, clips: films } of demoTrainees.flatMap(({ sessions }) => sessions)) {
      for (const { checkpointId } of corrections) expect(films.flatMap(({ rows }) => rows ?? [])).to.include(checkpointId);
    }
  });
});

describe('marks from truth', () => {
  const truth: FilmTruth = {
    frameTimes: Array.from({ length: 60 }, (_, frame) => frame * 20),
    strikes: [
      { technique: 'jab', launch: 100, contact: 250, home: 480, faults: [{ checkpoint: 'gd.return-line', strength: 0.9 }] },
      { technique: 'cross', launch: 600, contact: 790, home: 1100, faults: [{ checkpoint: 'gd.return-line', strength: 0.5 }] },
      { technique: 'somersault', launch: 600, contact: 790, home: 1100, faults: [] },
    ],
  };
  const marks = marksFromTruth(truth, 'lead-side', ['gd.return-line', 'st.width'], new Date(0));

  it('tag each known strike at its frames', () => {
    const strikes = marks.filter((mark) => mark.kind === 'strike');
    expect(
      strikes.map(({ technique, launchFrame, contactFrame, homeFrame }) => [technique, launchFrame, contactFrame, homeFrame]),
    ).to.deep.equal([
      ['jab', 5, 12, 24],
      ['cross', 30, 39, 55],
    ]);
  });

  it('judge the wanted rows that this view shows: a strong fault as a fault, a slight one as one to watch', () => {
    const words = marks.filter((mark) => mark.kind === 'observation');
    expect(words.map(({ checkpointId, verdict }) => [checkpointId, verdict])).to.deep.equal([
      ['gd.return-line', 'fault'],
      ['gd.return-line', 'watch'],
    ]);
  });
});
