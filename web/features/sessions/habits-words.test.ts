import type { SheetStrike } from '@wax-fist/contract/measures';
import { shippedCatalogue } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { sessionHabits, shareInWords, strikesOfOneSide, tellInWords } from './habits-words.ts';

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
    expect(said[0]).to.match(/: 20 of 20 \(\d\d%–100%\)/);
    expect(said.map((one) => one.split(':')[0])).to.have.members([
      'A combination begins with a jab',
      'A combination ends with a cross',
      'After a jab comes a cross',
      'After a cross nothing comes',
    ]);
    expect(tellInWords({ kind: 'side', share: { ...tells[0]!.share, what: 'rear' } }, shippedCatalogue)).to.equal(
      'The rear side strikes',
    );
    const elbow = { kind: 'opening', share: { ...tells[0]!.share, what: 'elbow' } } as const;
    expect(tellInWords(elbow, shippedCatalogue)).to.match(/with an? /);
  });

  it('count a round once that two cameras filmed', () => {
    const twice = [...pairs(5), ...pairs(3, 'front')];
    expect(strikesOfOneSide(twice).flat()).to.have.length(10);
    expect(sessionHabits(twice, shippedCatalogue).habits.combinations).to.equal(5);
    expect(strikesOfOneSide([])).to.deep.equal([]);
  });

  it('put the strikes of a film in order of time before anything follows anything', () => {
    const shuffled = pairs(8).reverse();
    expect(sessionHabits(shuffled, shippedCatalogue).habits.openings[0]!.what).to.equal('jab');
  });
});
