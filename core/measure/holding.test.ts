import { expect } from 'chai';
import { shippedCatalogue, techniqueIn, type View } from '../technique/index.ts';
import {
  bodyRead,
  measurable,
  measureByPoints,
  pointMeasures,
  rawMeasure,
  readFrom,
  readOf,
  shapesAt,
  type MeasurableStrike,
} from './index.ts';
import { between, contactFrame, homeFrame, launchFrame, moments, sceneOf, still, type Moving } from './moving-body.test-data.ts';

describe('whoever holds', () => {
  const striker: Moving = (name) => still(name);
  /** Pads so far ahead of the hips, with the head coming forward as the strike is launched. */
  const holder =
    (pads: number, leans = 0): Moving =>
    (name, frame) => {
      const [ahead, up] = still(name);
      if (/Wrist|Knuckle|Thumb/.test(name)) return [pads, up];
      return /nose|Mouth|Ear/.test(name) ? [ahead + leans * between(frame, launchFrame - 10, launchFrame), up] : [ahead, up];
    };
  const scene = (holding?: Moving, view: View = 'lead-side') => sceneOf(striker, view, { holding });
  const strikeIn = (film: ReturnType<typeof scene>): MeasurableStrike =>
    measurable(film, moments, techniqueIn(shippedCatalogue, 'pad-called'))!;
  const headClear = (holding: Moving, view?: View): number => {
    const row = pointMeasures['ph.head-clear']!;
    return rawMeasure(readOf(strikeIn(scene(holding, view)), row)!, row)!.value;
  };

  it('keeps a distance, or does not: both bodies together tell', () => {
    const row = pointMeasures['df.distance']!;
    /** Whoever strikes goes back by so much once it is home, and whoever holds comes after by so much. */
    const gap = (back: number, after: number, view: View = 'lead-side'): number | undefined => {
      const goes =
        (by: number): Moving =>
        (name, frame) => {
          const [ahead, up] = still(name);
          return [ahead + by * between(frame, homeFrame, homeFrame + 20), up];
        };
      const film = sceneOf(goes(-back), view, { holding: goes(after) });
      return rawMeasure(measurable(film, moments, techniqueIn(shippedCatalogue, 'sprawl'))!, row)?.value;
    };
    for (const view of ['lead-side', 'rear-side'] as const) {
      expect(gap(0, 0, view)).to.be.closeTo(1, 0.02);
      // They stand three trunks apart.
      expect(gap(0.9, 0, view), 'goes back').to.be.closeTo(1.3, 0.02);
      expect(gap(0, 0.9, view), 'is followed').to.be.closeTo(0.7, 0.02);
      expect(gap(0.6, 0.6, view), 'both').to.be.closeTo(1, 0.02);
    }
    const alone = measurable(sceneOf(striker), moments, techniqueIn(shippedCatalogue, 'sprawl'))!;
    expect(readOf(alone, row)).to.equal(undefined);
    expect(measureByPoints(alone, 'df.distance')).to.have.property('reason').that.includes('not followed');
  });

  it('is measured at contact in their own trunks, whichever way they look', () => {
    for (const view of ['lead-side', 'rear-side'] as const) {
      expect(headClear(holder(0.6), view)).to.be.closeTo(0.35, 0.03);
      expect(headClear(holder(0.6, 0.5), view), 'past the pads').to.be.closeTo(-0.15, 0.03);
    }
  });

  it('leans as far as the trunk does, towards whoever strikes', () => {
    const row = pointMeasures['holder-lean']!;
    const leaning =
      (by: number): Moving =>
      (name) => {
        const [ahead, up] = still(name);
        return /Shoulder|nose|Mouth|Ear|Eye/.test(name) ? [ahead + by, up] : [ahead, up];
      };
    for (const view of ['lead-side', 'rear-side'] as const) {
      const lean = (by: number): number => rawMeasure(readOf(strikeIn(scene(leaning(by), view)), row)!, row)!.value;
      expect(lean(0.4) - lean(0)).to.be.closeTo((Math.atan(0.4) * 180) / Math.PI, 4);
      expect(lean(-0.4), 'back').to.be.below(lean(0));
    }
    expect(readFrom(strikeIn(scene()), 'holder-lean'), 'nobody holds').to.equal(undefined);
  });

  it('is told of nobody where nobody was followed, with what to do', () => {
    const told = measureByPoints(strikeIn(scene()), 'ph.head-clear')!;
    expect(told).to.have.property('reason').that.includes('on pads');
    expect(readFrom(strikeIn(scene()), 'ph.head-clear')).to.equal(undefined);
  });

  it('is not told from where one looks along both', () => {
    const told = measureByPoints(strikeIn(scene(holder(0.6), 'front')), 'ph.head-clear')!;
    expect(told).to.have.property('reason').that.includes('lead side or rear side');
  });

  it('changes nothing of whoever strikes', () => {
    const [alone, held] = [scene(), scene(holder(0.6))].map((film) => measureByPoints(strikeIn(film), 'st.lean'));
    expect(held).to.deep.equal(alone);
  });

  it('is drawn on their own body: at the nose, and level to each hand', () => {
    const film = scene(holder(0.6));
    const read = readFrom(strikeIn(film), 'ph.head-clear')!;
    expect(read.ofHolder).to.equal(true);
    expect(read.points).to.have.members(['nose', 'leftWrist', 'rightWrist']);
    const shapes = shapesAt(film, contactFrame, 'ph.head-clear', read);
    // The hips of whoever holds are at 200, and they look to the right.
    expect(shapes.map((shape) => shape.kind === 'line' && [shape.from.x, shape.to.x].map(Math.round))).to.deep.equal([
      [225, 225],
      [225, 260],
      [225, 260],
    ]);
    expect(bodyRead(film, read)).to.equal(film.holder);
    expect(bodyRead(film, readFrom(strikeIn(film), 'st.lean'))).to.equal(film);
  });
});
