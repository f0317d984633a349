import { expect } from 'chai';
import { hasBody, overlaidTrack, pointAt, pointIn, type Pin } from '../body/index.ts';
import { shippedCatalogue, techniqueIn } from '../technique/index.ts';
import {
  bestTrialOf,
  bodyRead,
  doubtedFilm,
  measurable,
  measureByPoints,
  pinnedFilm,
  readFrom,
  secondPassTells,
  trialOf,
  unlearned,
  type FollowedFilm,
  type MeasuredValue,
} from './index.ts';
import { secondTrials } from './second-trials.ts';
import { between, contactFrame, homeFrame, launchFrame, moments, sceneOf, still, type Moving } from './moving-body.test-data.ts';

describe('a second pass', () => {
  /** A jab that comes home so far under the chin, in trunks. */
  const dropping =
    (drop: number): Moving =>
    (name, frame) => {
      const [ahead, up] = still(name);
      if (!/left(Wrist|Knuckle|Thumb)/.test(name)) return [ahead, up];
      const out = between(frame, launchFrame, contactFrame) - between(frame, contactFrame, homeFrame);
      const back = between(frame, contactFrame, contactFrame + 8) - between(frame, contactFrame + 8, homeFrame);
      return [ahead + out, up - drop * back];
    };
  const whole = (): boolean => true;
  const scene = (looked?: (frame: number) => boolean): FollowedFilm =>
    sceneOf(dropping(0.5), 'lead-side', looked && { again: { moving: dropping(0.1), looked } });
  const strikeIn = (film: FollowedFilm) => measurable(film, moments, techniqueIn(shippedCatalogue, 'jab'))!;
  const drop = (film: FollowedFilm): MeasuredValue => {
    const told = measureByPoints(strikeIn(film), 'gd.return-line')!;
    if (told.value === undefined) throw new Error(told.reason);
    return told;
  };

  it('is what a row is read from, where trials say that it tells more', () => {
    expect(trialOf('gd.return-line', 'near', 'second')).to.not.equal(undefined);
    const [once, twice] = [drop(scene()), drop(scene(whole))];
    expect(once.value - twice.value).to.be.above(0.2);
    expect(twice.doubt).to.be.below(once.doubt);
    expect(readFrom(strikeIn(scene()), 'gd.return-line')!.pass).to.equal('first');
    const film = scene(whole);
    const read = readFrom(strikeIn(film), 'gd.return-line')!;
    expect(read.pass).to.equal('second');
    expect(bodyRead(film, read).found, 'what is drawn').to.equal(film.again!.found);
  });

  it('is not, where trials of it say nothing better', () => {
    const row = 'st.balance';
    expect(trialOf(row, 'near', 'second')).to.equal(undefined);
    const film = scene(whole);
    expect(readFrom(strikeIn(film), row)!.pass).to.equal('first');
    expect(bodyRead(film, readFrom(strikeIn(film), row)).found).to.equal(film.found);
    expect(measureByPoints(strikeIn(film), row)).to.deep.equal(measureByPoints(strikeIn(scene()), row));
  });

  it('counts only for strikes that it has seen from launch to home', () => {
    const once = drop(scene());
    for (const looked of [() => false, (frame: number) => frame > launchFrame, (frame: number) => frame !== contactFrame])
      expect(drop(scene(looked))).to.deep.equal(once);
    expect(drop(scene((frame) => frame >= launchFrame && frame <= homeFrame)).value).to.be.below(once.value - 0.2);
  });

  it('is put right by pins as the first one is, and doubted as much more', () => {
    // On its way home the hand is a trunk lower than either pass has found it.
    const pins: Pin[] = Array.from({ length: 8 }, (_, place) => ({
      ...{ frame: contactFrame + 6 + place, point: 'leftWrist', said: 'here' },
      ...{ x: 420, y: 300 },
    }));
    const [once, twice] = [pinnedFilm(scene(), pins), pinnedFilm(scene(whole), pins)];
    expect(drop(twice).value).to.be.closeTo(drop(once).value, 0.2);
    expect(drop(twice).value - drop(scene(whole)).value).to.be.above(0.2);
    const doubted = doubtedFilm(scene(whole), { ...unlearned, all: 2 * unlearned.all });
    expect(drop(doubted).doubt).to.be.closeTo(2 * drop(scene(whole)).doubt, 0.02);
  });

  it('tells most of what a camera will settle', () => {
    expect(bestTrialOf('gd.return-line', 'near')).to.deep.equal(trialOf('gd.return-line', 'near', 'second'));
    expect(bestTrialOf('st.balance', 'near')).to.deep.equal(trialOf('st.balance', 'near'));
    expect(secondPassTells('near')).to.equal(true);
    expect(secondPassTells('quarter')).to.equal(false);
  });

  it('is shipped only where it is doubted less than the first, or where that tells nothing', () => {
    for (const [checkpoint, bySeen] of Object.entries(secondTrials))
      for (const [seen, [, shared, own]] of Object.entries(bySeen)) {
        const first = trialOf(checkpoint, seen as keyof typeof bySeen);
        if (first) expect(Math.hypot(shared, own), `${checkpoint} ${seen}`).to.be.below(Math.hypot(first.shared, first.own));
      }
  });

  it('lies over the first one where it has found somebody, and nowhere else', () => {
    const film = scene((frame) => frame >= 70 && frame < 80);
    const both = overlaidTrack(film.track, film.secondPass!);
    for (const frame of [0, 69, 80, 159])
      expect(pointIn(both, frame, pointAt.leftWrist)).to.deep.equal(pointIn(film.track, frame, pointAt.leftWrist));
    for (const frame of [70, 79])
      expect(pointIn(both, frame, pointAt.leftWrist)).to.deep.equal(pointIn(film.secondPass!, frame, pointAt.leftWrist));
    expect(hasBody(film.secondPass!, 69)).to.equal(false);
    expect(film.again!.track.values).to.deep.equal(both.values);
  });
});
