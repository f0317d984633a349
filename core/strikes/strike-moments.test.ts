import { expect } from 'chai';
import fc from 'fast-check';
import { shippedCatalogue, techniqueIn } from '../technique/index.ts';
import { timelineOf, timeOf } from '../film/index.ts';
import { guessedMoments, guessedOf, guessedSeries, moments, phaseFrames, withMoment, type StrikeMoments } from './index.ts';

const steady = timelineOf(Array.from({ length: 120 }, (_, index) => (index * 1000) / 60));

const heardAt = (...frames: number[]) => frames.map((frame) => ({ frame, origin: 'found' as const }));

describe('moments of a strike', () => {
  it('are guessed from the contact and stay inside the film', () => {
    const guess = guessedMoments(steady, techniqueIn(shippedCatalogue, 'jab'), 60, 'set');
    expect(timeOf(steady, 60) - timeOf(steady, guess.launchFrame)).to.be.closeTo(160, 17);
    expect(timeOf(steady, guess.homeFrame) - timeOf(steady, 60)).to.be.closeTo(220, 17);
    expect(guessedMoments(steady, techniqueIn(shippedCatalogue, 'cross'), 0, 'set').launchFrame).to.equal(0);
    expect(guessedMoments(steady, techniqueIn(shippedCatalogue, 'cross'), 119, 'set').homeFrame).to.equal(119);
  });

  it('are guessed for a series on the hits that are known, and after them in the usual times', () => {
    const usual = ['jab', 'cross', 'lead-hook'].map((id) => techniqueIn(shippedCatalogue, id));
    const [jab, cross, hook] = guessedSeries(steady, usual, heardAt(20, 35));
    expect([jab!.contactFrame, cross!.contactFrame]).to.deep.equal([20, 35]);
    expect([jab!.contactOrigin, hook!.contactOrigin, guessedOf(jab!)]).to.deep.equal(['found', 'guessed', ['launch', 'home']]);
    const after = timeOf(steady, hook!.contactFrame) - timeOf(steady, 35);
    expect(after).to.be.closeTo(usual[1]!.usualReturn + usual[2]!.usualOut, 17);
    expect(guessedSeries(steady, usual, heardAt(115)), 'nothing lands after the film').to.have.length(1);
  });

  it('of a series never overlap, wherever its hits are', () => {
    const contacts = fc.uniqueArray(fc.nat(119), { minLength: 1, maxLength: 5 }).map((all) => all.sort((a, b) => a - b));
    fc.assert(
      fc.property(contacts, fc.integer({ min: 0, max: 4 }), (known, more) => {
        const usual = Array.from({ length: known.length + more }, () => techniqueIn(shippedCatalogue, 'rear-hook'));
        const all = guessedSeries(steady, usual, heardAt(...known));
        expect(all.length).to.be.within(known.length, usual.length);
        for (const [place, { launchFrame, contactFrame, homeFrame }] of all.entries()) {
          expect(launchFrame).to.be.within(all[place - 1]?.contactFrame ?? 0, contactFrame);
          expect(homeFrame).to.be.within(contactFrame, all[place + 1]?.contactFrame ?? 119);
        }
      }),
    );
  });

  it('keep their order however one of them is moved', () => {
    const frames = fc.nat(119);
    const threeFrames = fc.tuple(frames, frames, frames).map((three) => three.sort((a, b) => a - b));
    fc.assert(
      fc.property(threeFrames, fc.constantFrom(...moments), frames, ([launch, contact, home], moment, frame) => {
        const before: StrikeMoments = {
          ...guessedMoments(steady, techniqueIn(shippedCatalogue, 'jab'), 60, 'found'),
          ...{ launchFrame: launch, contactFrame: contact, homeFrame: home },
          ...{ launchOrigin: 'set', homeOrigin: 'set' },
        };
        const moved = withMoment(before, moment, frame);
        for (const one of moments) {
          const [was, is] = [before[`${one}Frame`], moved[`${one}Frame`]];
          const origin = one === moment ? 'set' : was === is ? before[`${one}Origin`] : 'guessed';
          expect(moved[`${one}Origin`], 'what gave way is a guess again').to.equal(origin);
        }
        expect(moved[`${moment}Frame`]).to.equal(frame);
        expect(moved.launchFrame).to.be.at.most(moved.contactFrame);
        expect(moved.contactFrame).to.be.at.most(moved.homeFrame);
      }),
    );
  });

  it('give five stills in the order of time', () => {
    const stills = Object.values(phaseFrames(steady, { launchFrame: 30, contactFrame: 40, homeFrame: 55 }));
    expect(stills).to.deep.equal([...stills].sort((a, b) => a - b));
    expect(stills.slice(1, 4)).to.deep.equal([30, 40, 55]);
    expect(timeOf(steady, 30) - timeOf(steady, stills[0]!)).to.be.closeTo(130, 17);
  });
});
