import type { MeasuredRateOfSession, SheetStrike } from '@wax-fist/contract/measures';
import { shippedCatalogue } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { fallingHands, habitInWords, moveInWords, sessionHabits, shareInWords, tellInWords, telltaleOf } from './habits-words.ts';

const strike = (place: number, technique: string, at: number, view: SheetStrike['view'] = 'lead-side'): SheetStrike => ({
  strikeId: `${view} ${place}`,
  filmId: `film ${view}`,
  view,
  technique,
  contactFrame: Math.round(at / 16),
  at,
});
/** So many times a jab and a cross behind it. */
const pairs = (count: number, view?: SheetStrike['view']): SheetStrike[] =>
  Array.from({ length: count }, (_, place) => [
    strike(2 * place, 'jab', 3000 * place, view),
    strike(2 * place + 1, 'cross', 3000 * place + 300, view),
  ]).flat();

describe('habits in words', () => {
  it('say what a partner could read, with how often and how sure', () => {
    const { tells } = sessionHabits(pairs(20), shippedCatalogue);
    const said = tells.map((tell) => `${tellInWords(tell, shippedCatalogue)}: ${shareInWords(tell.share)}`);
    expect(said.find((one) => one.startsWith('After a jab'))).to.match(/: 20 of 20 \(\d\d%–100%\)/);
    expect(said.map((one) => one.split(':')[0])).to.have.members([
      'A combination begins with a jab',
      'A combination ends with a cross',
      'After a jab comes a cross',
      'After a cross nothing comes',
      'It goes to the head',
    ]);
    expect(tellInWords({ kind: 'side', share: { ...tells[0]!.share, what: 'rear' } }, shippedCatalogue)).to.equal(
      'The rear side strikes',
    );
    const elbow = { kind: 'opening', share: { ...tells[0]!.share, what: 'elbow' } } as const;
    expect(tellInWords(elbow, shippedCatalogue)).to.match(/with an? /);
  });

  it('count a round once that two cameras filmed', () => {
    const twice = [...pairs(5), ...pairs(3, 'front')];
    expect(sessionHabits(twice, shippedCatalogue).habits.combinations).to.equal(5);
  });

  it('put the strikes of a film in order of time before anything follows anything', () => {
    const shuffled = pairs(8).reverse();
    expect(sessionHabits(shuffled, shippedCatalogue).habits.openings[0]!.what).to.equal('jab');
  });

  it('say what a habit is without a share, too', () => {
    expect(habitInWords({ kind: 'height', what: 'body' }, shippedCatalogue)).to.equal('It goes to the body');
    expect(habitInWords({ kind: 'follow', technique: 'jab', what: null }, shippedCatalogue)).to.equal(
      'After a jab nothing comes',
    );
  });

  it('say what moves before a strike, to ten milliseconds', () => {
    const proof = { filmId: '', strikeId: '' };
    const move = {
      technique: 'jab',
      part: 'hand',
      lead: 163,
      times: 12,
      of: 24,
      low: 0.34,
      high: 0.66,
      readable: true,
      proof,
    } as const;
    expect(moveInWords(move, shippedCatalogue)).to.equal('Before a jab the hand moves, about 160 ms before it sets out');
  });

  it('say of which kick a hand surely falls with, and lead to where it falls most', () => {
    const kicks = [0, 1, 2].map((place) => strike(place, 'rear-round', 3000 * place));
    const rate = (technique: string, low: number): MeasuredRateOfSession => ({
      ...{ technique, checkpointId: 'gd.other-hand', view: 'lead-side', strikes: 12, rate: 0.6, low, high: 0.8 },
      ...{ clean: 5, watch: 0, fault: 7, amiss: null, counts: false },
    });
    const values = kicks.map(({ strikeId }, place) => ({
      ...{ strikeId, checkpointId: 'gd.other-hand', value: [0.1, 0.9, 0.4][place]!, doubt: 0.1, shared: 0, degrees: 3 as const },
    }));
    const rates = [rate('rear-round', 0.4), rate('lead-round', 0.1), rate('jab', 0.9)];
    const told = fallingHands({ rates, values, strikes: kicks }, shippedCatalogue);
    expect(told.map((one) => telltaleOf(one, shippedCatalogue))).to.deep.equal([
      { told: 'With a rear round kick the other hand falls', figures: '7 of 12 (40%–80%)', strikeId: kicks[1]!.strikeId },
    ]);
    expect(fallingHands({ rates, values: [], strikes: [] }, shippedCatalogue)[0]!.share.proof).to.deep.equal([]);
  });

  it('say what moves before a strike, and what falls with it', () => {
    expect(habitInWords({ kind: 'move', technique: 'jab', what: 'hand' }, shippedCatalogue)).to.equal(
      'Before a jab the hand moves',
    );
    expect(habitInWords({ kind: 'fall', technique: 'lead-knee', what: 'hand' }, shippedCatalogue)).to.match(
      /^With a .*the other hand falls$/,
    );
  });
});
