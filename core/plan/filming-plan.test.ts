import { expect } from 'chai';
import fc from 'fast-check';
import type { Settles } from '../measure/index.ts';
import { views, type View } from '../technique/index.ts';
import { filmingPlan, placeOf, type FilmQuestion } from './index.ts';

const question = (id: string, from: Partial<Record<View, Settles>>, rate = 0): FilmQuestion => ({
  id,
  rate,
  from: { front: 'nothing', rear: 'nothing', 'lead-side': 'nothing', 'rear-side': 'nothing', quarter: 'nothing', ...from },
});
const anyQuestion: fc.Arbitrary<FilmQuestion> = fc
  .tuple(
    fc.uuid(),
    fc.tuple(...views.map(() => fc.constantFrom<Settles>('measure', 'eye', 'nothing', 'nothing'))),
    fc.constantFrom(0, 50, 100),
  )
  .map(([id, settles, rate]) => question(id, Object.fromEntries(views.map((view, place) => [view, settles[place]])), rate));

describe('where cameras are put', () => {
  it('is one place where one answers everything, by measure if one does', () => {
    const plan = filmingPlan([
      question('hand', { 'lead-side': 'measure', front: 'eye' }, 50),
      question('foot', { 'lead-side': 'eye', front: 'measure' }),
    ]);
    expect(plan.places).to.have.length(1);
    expect(plan.unanswered).to.deep.equal([]);
  });

  it('is two where nothing answers all, each with the frames that its own questions take', () => {
    const plan = filmingPlan([
      question('return', { 'lead-side': 'measure' }, 50),
      question('elbow', { front: 'eye' }),
      question('lean', { 'lead-side': 'measure', front: 'eye' }),
    ]);
    expect(plan.places.map(({ view, rate }) => [view, rate])).to.deep.equal([
      ['front', 0],
      ['lead-side', 50],
    ]);
    expect(placeOf(plan, 'lean')!.view).to.equal('lead-side');
  });

  it('says what no camera settles', () => {
    const plan = filmingPlan([question('smell', {}), question('chin', { front: 'eye' })]);
    expect(plan.unanswered).to.deep.equal(['smell']);
    expect(filmingPlan([])).to.deep.equal({ places: [], unanswered: [] });
  });

  it('answers everything that can be answered, each once, with enough frames, and no place could be left out', () => {
    fc.assert(
      fc.property(fc.array(anyQuestion, { maxLength: 14 }), (questions) => {
        const { places, unanswered } = filmingPlan(questions);
        const answered = places.flatMap(({ answers }) => answers.map(({ id }) => id));
        expect([...answered, ...unanswered].sort()).to.deep.equal(questions.map(({ id }) => id).sort());
        for (const { view, rate, answers } of places)
          for (const { id, settles } of answers) {
            const asked = questions.find((one) => one.id === id)!;
            expect(asked.from[view]).to.equal(settles);
            expect(settles).not.to.equal('nothing');
            expect(rate).to.be.at.least(asked.rate);
          }
        const covers = (chosen: readonly View[]): boolean =>
          questions.every(({ id, from }) => unanswered.includes(id) || chosen.some((view) => from[view] !== 'nothing'));
        for (const { view } of places)
          expect(covers(places.map((one) => one.view).filter((one) => one !== view))).to.equal(false);
      }),
    );
  });
});
