import { expect } from 'chai';
import fc from 'fast-check';
import { checklistFor, shippedCatalogue, techniqueIn, usualSchool, views, type Stance, type View } from '../technique/index.ts';
import { adviceOn, betterPlaces, cameraPlaces, type FilmAdvice, type Settles } from './index.ts';

const advice = (technique: string, checkpoint: string, view: View, stance: Stance = 'orthodox', frameRate = 60): FilmAdvice => {
  const rows = checklistFor(shippedCatalogue, technique, { school: usualSchool, view, frameRate });
  const row = rows.find((one) => one.checkpoint.id === checkpoint)!;
  return adviceOn(row, techniqueIn(shippedCatalogue, technique), { view, stance });
};
const everywhere = (technique: string, checkpoint: string) =>
  Object.fromEntries(views.map((view) => [view, advice(technique, checkpoint, view)])) as Record<View, FilmAdvice>;

describe('what a camera can settle', () => {
  const told: [technique: string, checkpoint: string, view: View, stance: Stance, rate: number, Settles][] = [
    ['jab', 'st.lean', 'lead-side', 'orthodox', 60, 'measure'],
    ['jab', 'st.lean', 'front', 'orthodox', 60, 'nothing'],
    ['jab', 'gd.return-line', 'lead-side', 'orthodox', 60, 'measure'],
    // The arm that strikes is behind the body.
    ['jab', 'gd.return-line', 'rear-side', 'orthodox', 60, 'eye'],
    ['cross', 'gd.return-line', 'rear-side', 'southpaw', 60, 'measure'],
    ['cross', 'gd.return-line', 'lead-side', 'orthodox', 60, 'eye'],
    ['jab', 'sm.snap', 'lead-side', 'orthodox', 60, 'measure'],
    ['jab', 'sm.snap', 'lead-side', 'orthodox', 15, 'nothing'],
    // Over between two frames for the eye, and read between them.
    ['jab', 'gd.return-line', 'lead-side', 'orthodox', 30, 'measure'],
    ['jab', 'gd.return-line', 'rear-side', 'orthodox', 30, 'nothing'],
    ['jab', 'gd.return-line', 'lead-side', 'orthodox', 15, 'nothing'],
    ['step-and-recover', 'pv.first-foot', 'lead-side', 'orthodox', 60, 'measure'],
    // Towards the camera, round, and with a fist.
    ['step-and-recover', 'pv.first-foot', 'front', 'orthodox', 60, 'eye'],
    ['step-lead-side', 'pv.first-foot', 'lead-side', 'orthodox', 60, 'eye'],
    ['quarter-turn', 'pv.no-cross', 'lead-side', 'orthodox', 60, 'eye'],
    ['punch-step', 'pv.step-size', 'lead-side', 'orthodox', 60, 'eye'],
    ['jab', 'sm.fist', 'lead-side', 'orthodox', 60, 'eye'],
    // Of whoever holds, from whichever side; the back of theirs hides it from the front.
    ['pad-called', 'ph.head-clear', 'lead-side', 'orthodox', 60, 'measure'],
    ['pad-called', 'ph.head-clear', 'rear-side', 'southpaw', 60, 'measure'],
    ['pad-called', 'ph.head-clear', 'front', 'orthodox', 60, 'eye'],
  ];
  for (const [technique, checkpoint, view, stance, rate, settles] of told)
    it(`${checkpoint} of the ${technique} (${stance}) from the ${view} at ${rate} a second: ${settles}`, () => {
      const one = advice(technique, checkpoint, view, stance, rate);
      expect(one.settles, one.reason).to.equal(settles);
      expect(one.reason === '').to.equal(settles === 'measure');
    });

  it('tells a doubt that single strikes do not undercut, and too coarse a measure is the eye’s', () => {
    expect(advice('jab', 'st.lean', 'lead-side').doubt).to.be.within(1, 5);
    expect(advice('jab', 'sm.extension', 'lead-side'))
      .to.include({ settles: 'eye' })
      .and.to.have.property('doubt')
      .above(12);
  });

  it('says from where it is settled better, where it is', () => {
    expect(betterPlaces(everywhere('jab', 'gd.return-line'), 'eye')).to.deep.equal({ from: ['lead-side'], settles: 'measure' });
    expect(betterPlaces(everywhere('jab', 'gd.return-line'), 'measure')).to.equal(undefined);
  });

  it('puts one camera where it settles most, and a second only where it adds to that', () => {
    const [first, ...others] = cameraPlaces([everywhere('jab', 'st.lean'), everywhere('jab', 'gd.return-line')]);
    expect(first).to.deep.equal({ view: 'lead-side', measure: 2, eye: 0 });
    expect(others).to.deep.equal([]);
    expect(cameraPlaces([everywhere('jab', 'st.lean'), everywhere('jab', 'st.width')]).map(({ view }) => view)).to.have.members([
      'lead-side',
      'front',
    ]);
    expect(cameraPlaces([])).to.deep.equal([]);
  });

  it('never counts a question twice, nor one that nothing settles', () => {
    const settles = fc
      .constantFrom<Settles>('measure', 'eye', 'nothing')
      .map((one) => ({ settles: one, doubt: undefined, reason: '' }));
    const question = fc
      .tuple(...views.map(() => settles))
      .map((of) => Object.fromEntries(views.map((view, at) => [view, of[at]!])));
    fc.assert(
      fc.property(fc.array(question, { maxLength: 6 }), (questions) => {
        const list = questions as Record<View, FilmAdvice>[];
        const places = cameraPlaces(list);
        const measured = places.reduce((sum, { measure }) => sum + measure, 0);
        expect(measured).to.be.at.most(list.filter((of) => views.some((view) => of[view].settles === 'measure')).length);
        expect(new Set(places.map(({ view }) => view)).size).to.equal(places.length);
        for (const { measure, eye } of places) expect(measure + eye).to.be.above(0);
      }),
    );
  });
});
