import { expect } from 'chai';
import { hasBody, overlaidTrack, pointAt, pointIn, type Pin } from '../body/index.ts';
import { shippedCatalogue, techniqueIn } from '../technique/index.ts';
import {
  bestTrialOf,
  bodyRead,
  doubtedFilm,
  doubtOfTrial,
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
  const row = 'st.chin';
  /** A jab under a chin that is up, so far that the nose is higher than the ears, in trunks. */
  const raised =
    (higher: number): Moving =>
    (name, frame) => {
      const [ahead, up] = still(name);
      if (name === 'nose') return [ahead, 1.42 + higher];
      if (!/left(Wrist|Knuckle|Thumb)/.test(name)) return [ahead, up];
      return [ahead + between(frame, launchFrame, contactFrame) - between(frame, contactFrame, homeFrame), up];
    };
  const whole = (): boolean => true;
  const scene = (looked?: (frame: number) => boolean): FollowedFilm =>
    sceneOf(raised(0.3), 'lead-side', looked && { again: { moving: raised(0.05), looked } });
  const strikeIn = (film: FollowedFilm) => measurable(film, moments, techniqueIn(shippedCatalogue, 'jab'))!;
  const pitch = (film: FollowedFilm): MeasuredValue => {
    const told = measureByPoints(strikeIn(film), row)!;
    if (told.value === undefined) throw new Error(told.reason);
    return told;
  };

  it('is what a row is read from, where trials say that it tells more', () => {
    expect(trialOf(row, 'near', 'second')).to.not.equal(undefined);
    const [once, twice] = [pitch(scene()), pitch(scene(whole))];
    expect(once.value - twice.value).to.be.above(15);
    expect(twice.doubt).to.be.below(once.doubt);
    expect(readFrom(strikeIn(scene()), row)!.pass).to.equal('first');
    const film = scene(whole);
    const read = readFrom(strikeIn(film), row)!;
    expect(read.pass).to.equal('second');
    expect(bodyRead(film, read).found, 'what is drawn').to.equal(film.again!.found);
  });

  it('is not, where trials of it say nothing better', () => {
    const other = 'st.balance';
    expect(trialOf(other, 'near', 'second')).to.equal(undefined);
    const film = scene(whole);
    expect(readFrom(strikeIn(film), other)!.pass).to.equal('first');
    expect(bodyRead(film, readFrom(strikeIn(film), other)).found).to.equal(film.found);
    expect(measureByPoints(strikeIn(film), other)).to.deep.equal(measureByPoints(strikeIn(scene()), other));
  });

  it('counts only for strikes that it has seen from launch to home', () => {
    const once = pitch(scene());
    for (const looked of [() => false, (frame: number) => frame > launchFrame, (frame: number) => frame !== contactFrame])
      expect(pitch(scene(looked))).to.deep.equal(once);
    expect(pitch(scene((frame) => frame >= launchFrame && frame <= homeFrame)).value).to.be.below(once.value - 15);
  });

  it('is put right by pins as the first one is, and doubted as much more', () => {
    // The chin is higher than either pass has found it.
    const pins: Pin[] = Array.from({ length: 9 }, (_, place) => ({
      ...{ frame: contactFrame - 4 + place, point: 'nose', said: 'here' },
      ...{ x: 475, y: 108 },
    }));
    const [once, twice] = [pinnedFilm(scene(), pins), pinnedFilm(scene(whole), pins)];
    expect(pitch(twice).value).to.be.closeTo(pitch(once).value, 12);
    expect(pitch(twice).value - pitch(scene(whole)).value).to.be.above(25);
    const doubted = doubtedFilm(scene(whole), { ...unlearned, all: 2 * unlearned.all });
    expect(pitch(doubted).doubt).to.be.closeTo(2 * pitch(scene(whole)).doubt, 0.1);
  });

  it('tells most of what a camera will settle', () => {
    expect(bestTrialOf(row, 'near')).to.deep.equal(trialOf(row, 'near', 'second'));
    expect(bestTrialOf('st.balance', 'near')).to.deep.equal(trialOf('st.balance', 'near'));
    expect(secondPassTells('near')).to.equal(true);
    expect(secondPassTells('quarter')).to.equal(false);
  });

  it('is shipped only where it is doubted less than the first, or where that tells nothing', () => {
    for (const [checkpoint, bySeen] of Object.entries(secondTrials))
      for (const seen of Object.keys(bySeen) as (keyof typeof bySeen)[]) {
        const [first, second] = [trialOf(checkpoint, seen), trialOf(checkpoint, seen, 'second')!];
        if (first) expect(doubtOfTrial(second, 1), `${checkpoint} ${seen}`).to.be.below(doubtOfTrial(first, 1));
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
