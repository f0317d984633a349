import { expect } from 'chai';
import { emptyTrack, numbersOfFrame, pointAt, pointIn, type Pin, type PointName } from '../body/index.ts';
import type { StrikeMoments } from '../strikes/index.ts';
import { shippedCatalogue, techniqueIn, type ShippedCheckpointId, type View } from '../technique/index.ts';
import {
  doubtOfTrial,
  decidedAt,
  decidedIn,
  foundIn,
  measurable,
  measureByPoints,
  measureOf,
  pinnedFilm,
  pointMeasures,
  rawMeasure,
  trialOf,
  widerThanTrials,
  withFoundMoments,
  type FollowedFilm,
} from './index.ts';
import {
  between,
  contactFrame,
  homeFrame,
  launchFrame,
  moments,
  rate,
  readOf,
  sceneOf,
  still,
  type Moving,
} from './moving-body.test-data.ts';

/** A jab along a straight line, out and home. */
const jab: Moving = (name, frame) => {
  const [ahead, up] = still(name);
  const out = between(frame, launchFrame, contactFrame) - between(frame, contactFrame, homeFrame);
  if (/left(Wrist|Index|Little|Thumb)/.test(name)) return [ahead + 0.7 * out, up - 0.05 * out];
  return name === 'leftElbow' ? [ahead + 0.2 * out, up + 0.4 * out] : [ahead, up];
};

const read = (...asked: Parameters<typeof readOf>): number => readOf(...asked)!;

describe('measures from points', () => {
  it('of a straight jab with a still body are what geometry says', () => {
    expect(read('st.lean', jab)).to.be.closeTo(0, 0.7);
    expect(read('gd.return-line', jab)).to.be.closeTo(0, 0.08);
    expect(read('sm.telegraph', jab)).to.be.closeTo(0, 0.08);
    expect(readOf('sm.telegraph', jab, 'lead-uppercut'), 'what sinks anyway').to.equal(undefined);
    expect(read('kk.level-leg', jab)).to.be.closeTo(-79.4, 2);
    expect(read('gd.other-hand', jab, 'cross'), 'the jab sinks by a ninth of a head').to.be.closeTo(0.11, 0.06);
  });

  it('a trunk that leans towards the target leans forward, from either side', () => {
    const leaning: Moving = (name, frame) => {
      const [ahead, up] = jab(name, frame);
      return up >= 1 ? [ahead + 0.2, up] : [ahead, up];
    };
    for (const view of ['lead-side', 'rear-side'] as const)
      expect(read('st.lean', leaning, 'jab', view), view).to.be.closeTo((Math.atan(0.2) * 180) / Math.PI, 0.8);
  });

  it('a hand that falls on its way home falls by as much, between the frames as well', () => {
    for (const drop of [0.1, 0.2, 0.4]) {
      const falling: Moving = (name, frame) => {
        const [ahead, up] = jab(name, frame);
        const middle = 1 - Math.abs(2 * between(frame, contactFrame, homeFrame) - 1);
        return name === 'leftWrist' ? [ahead, up - drop * middle] : [ahead, up];
      };
      const { forearm } = sceneOf(falling).size;
      expect(read('gd.return-line', falling)).to.be.closeTo((100 * drop) / forearm, 0.07);
    }
  });

  it('an idle hand that falls is told in heads, against the chin: whoever changes level drops nothing', () => {
    const idle: Moving = (name, frame) => {
      const [ahead, up] = jab(name, frame);
      return /left(Wrist)/.test(name) ? [ahead, up - 0.45 * (between(frame, 62, 70) - between(frame, 100, 110))] : [ahead, up];
    };
    const sunk: Moving = (name, frame) => {
      const [ahead, up] = still(name);
      return up > -0.5 ? [ahead, up - 0.3 * between(frame, 50, 70)] : [ahead, up];
    };
    expect(read('gd.other-hand', idle, 'cross')).to.be.above(0.9);
    expect(read('gd.other-hand', sunk, 'cross')).to.be.closeTo(0, 0.1);
  });

  it('of a kick each hand is told by itself: the one on the side that kicks, and the other', () => {
    const drops =
      (side: 'left' | 'right'): Moving =>
      (name, frame) => {
        const [ahead, up] = still(name);
        return name === `${side}Wrist` ? [ahead, up - 0.6 * (between(frame, 62, 70) - between(frame, 100, 110))] : [ahead, up];
      };
    // The rear leg of somebody who stands with the left one in front.
    for (const [side, kicking, other] of [
      ['right', 1.3, 0],
      ['left', 0, 1.3],
    ] as const) {
      expect(read('gd.kick-hand', drops(side), 'rear-round'), `${side} falls`).to.be.closeTo(kicking, 0.25);
      expect(read('gd.other-hand', drops(side), 'rear-round'), `${side} falls`).to.be.closeTo(other, 0.25);
    }
  });

  it('an idle hand that is still out from the strike before falls from where it usually is, not from out there', () => {
    const stillOut: Moving = (name, frame) => {
      const [ahead, up] = jab(name, frame);
      // Up and out until the launch, then home.
      return name === 'leftWrist' ? [ahead, up + 0.4 * (between(frame, 40, 44) - between(frame, 58, 66))] : [ahead, up];
    };
    expect(read('gd.other-hand', stillOut, 'cross')).to.be.below(0.25);
  });

  it('stance and guard are clean again when the last of hands and feet is back, and not at all when the next strike comes first', () => {
    const home = ((homeFrame - contactFrame) / rate) * 1000;
    const until = (frame: number): number => ((frame - contactFrame) / rate) * 1000;
    /** Away from where it is at home until a frame. */
    const away =
      (points: RegExp, [ahead, up]: readonly [number, number], end: number): Moving =>
      (name, frame) => {
        const [x, y] = jab(name, frame);
        const gone = points.test(name) ? between(frame, 62, 70) - between(frame, end, end + 3) : 0;
        return [x + ahead * gone, y + up * gone];
      };
    for (const id of ['ex.reset', 'kk.return'] as const) {
      expect(read(id, jab), id).to.be.closeTo(home, 45);
      expect(read(id, away(/right(Wrist|Index|Little|Thumb)/, [0, -0.4], 115)), 'a hand').to.be.closeTo(until(118), 45);
      expect(read(id, away(/right(Ankle|Heel|Toe)/, [0, 0.4], 105)), 'a foot in the air').to.be.closeTo(until(107), 45);
      expect(read(id, away(/right(Ankle|Heel|Toe)/, [-0.6, 0], 110)), 'feet apart').to.be.closeTo(until(112), 45);
    }
    // It ends while they are still away, however long one would look.
    const again = away(/right(Ankle|Heel|Toe)/, [-0.6, 0], 156);
    expect(
      rawMeasure(measurable(sceneOf(again), moments, techniqueIn(shippedCatalogue, 'jab'))!, pointMeasures['ex.reset']!),
    ).to.equal(undefined);
  });

  it('a foot that turns is seen to turn by what is left of its length', () => {
    const turned = (side: 'left' | 'right', from: number, to: number): Moving => {
      const radians = Math.PI / 180;
      return (name, frame) => {
        const [ahead, up] = jab(name, frame);
        if (name !== `${side}Toe`) return [ahead, up];
        const heel = still(`${side}Heel`)[0];
        return [heel + 0.5 * Math.cos((from + (to - from) * between(frame, launchFrame, contactFrame)) * radians), up];
      };
    };
    expect(read('pv.rear-turn', turned('right', 45, 100))).to.be.closeTo(55, 4);
    expect(read('pv.rear-turn', turned('right', 45, 45))).to.be.closeTo(0, 4);
    expect(read('pv.lead-turn', turned('left', 10, 70), 'lead-hook')).to.be.closeTo(60, 6);
    expect(read('pv.support-turn', turned('left', 20, 110), 'rear-round')).to.be.closeTo(90, 6);
    expect(read('st.rear-foot', turned('right', 50, 90))).to.be.closeTo(50, 4);
  });

  it('a knee that drives after its elbow is late by as much', () => {
    const lateBy = (frames: number): number => {
      const moving: Moving = (name, frame) => {
        const [ahead, up] = still(name);
        if (name === 'rightElbow') return [ahead + 0.5 * between(frame, launchFrame, launchFrame + 8), up];
        const turn = ((45 + 60 * between(frame, launchFrame + frames, launchFrame + frames + 8)) * Math.PI) / 180;
        return name === 'rightToe' ? [still('rightHeel')[0] + 0.5 * Math.cos(turn), up] : [ahead, up];
      };
      return read('pv.knee-elbow', moving, 'cross');
    };
    const gap = 1000 / rate;
    expect(lateBy(0)).to.be.closeTo(0, gap);
    expect(lateBy(6)).to.be.closeTo(6 * gap, gap);
    expect(lateBy(12)).to.be.closeTo(12 * gap, gap);
  });

  it('shoulders that turn are seen to turn from across, by how far one comes before the other', () => {
    const turning: Moving = (name, frame) => {
      const [ahead, up] = jab(name, frame);
      const turn = ((-35 + 70 * between(frame, launchFrame, contactFrame)) * Math.PI) / 180;
      if (!name.endsWith('Shoulder')) return [ahead, up];
      return [0.365 * Math.sin(turn) * (name.startsWith('right') ? 1 : -1), up];
    };
    expect(read('sm.rotation', turning, 'cross')).to.be.closeTo(70, 4);
    expect(read('sm.rotation', jab, 'cross')).to.be.closeTo(0, 3);
  });

  it('a hip that turns after its fist is late by as much, and one that comes before it early', () => {
    const gap = 1000 / rate;
    /** A fist goes from launch to contact, the hips turn in as many frames, so much later. */
    const late = (frames: number): Moving => {
      return (name, frame) => {
        const [ahead, up] = still(name);
        const turn = between(frame, launchFrame + frames, contactFrame + frames);
        if (name === 'rightHip') return [-0.15 + 0.3 * turn, up];
        if (name === 'leftHip') return [0.15 - 0.3 * turn, up];
        return name === 'rightWrist' ? [ahead + 0.8 * between(frame, launchFrame, contactFrame), up] : [ahead, up];
      };
    };
    for (const frames of [-4, 0, 3, 9])
      expect(read('sm.hip-stop', late(frames), 'cross'), `${frames} frames`).to.be.closeTo(frames * gap, gap);
  });

  it('a foot that goes on after it has landed goes through, one that stops does not', () => {
    const kick =
      (through: number): Moving =>
      (name, frame) => {
        const [ahead, up] = still(name);
        if (name !== 'rightAnkle') return [ahead, up];
        const way = 1.5 * between(frame, launchFrame, contactFrame) + through * between(frame, contactFrame, contactFrame + 4);
        return [ahead + way - (1.5 + through) * between(frame, contactFrame + 6, homeFrame), up + 1.4];
      };
    const { shoulderWidth } = sceneOf(still).size;
    for (const through of [0, 0.1, 0.3])
      expect(read('kk.through', kick(through), 'rear-round')).to.be.closeTo((100 * through) / shoulderWidth, 0.08);
  });

  it('how high it lands is told over the own hips: knuckles, a shin, and of a folded leg the knee', () => {
    const hand =
      (height: number): Moving =>
      (name, frame) => {
        const [ahead, up] = still(name);
        return /right.*Knuckle/.test(name) ? [ahead, up + (height - up) * between(frame, 62, contactFrame)] : [ahead, up];
      };
    for (const height of [0.2, 0.6, 1.1]) expect(read('sm.target', hand(height), 'rear-uppercut')).to.be.closeTo(height, 0.04);
    const leg =
      (knee: [number, number], ankle: [number, number]): Moving =>
      (name) =>
        name === 'rightKnee' ? knee : name === 'rightAnkle' ? ankle : still(name);
    expect(read('sm.target', leg([0.7, 0.5], [1.5, 0.7]), 'rear-round'), 'straight').to.be.closeTo(0.6, 0.04);
    expect(read('sm.target', leg([0.7, 0.5], [0.5, -0.2]), 'rear-knee'), 'folded').to.be.closeTo(0.5, 0.04);
  });

  it('along the line of attack tell what goes aside', () => {
    /** From the front: the left side is to the right in the picture, which stands mirrored here. */
    const facing = (change: (name: PointName, frame: number) => [number, number] | undefined): Moving => {
      return (name, frame) => {
        const side = name.startsWith('left') ? -1 : 1;
        const [, up] = still(name);
        const width = /Shoulder|Hip|Knee|Ankle|Heel|Toe/.test(name) ? 0.3 : /Wrist|Knuckle|Thumb|Elbow/.test(name) ? 0.2 : 0;
        const [x, y] = change(name, frame) ?? [0, 0];
        return [side * width + x, up + y];
      };
    };
    const out = (frame: number): number => between(frame, launchFrame, contactFrame) - between(frame, contactFrame, homeFrame);
    const size = sceneOf(
      facing(() => undefined),
      'front',
    ).size;
    const slipped = facing((name, frame) => (name === 'nose' ? [0.3 * out(frame), 0] : undefined));
    expect(read('df.slip', slipped, 'slip', 'front')).to.be.closeTo(30 / (size.head * 0.68), 0.1);
    // To a camera that stands aside what is ahead of the feet is beside them.
    const aside = facing((name, frame) => (name === 'nose' ? [0.2 - 0.3 * out(frame), 0] : undefined));
    expect(read('df.slip', aside, 'slip', 'front')).to.be.closeTo(30 / (size.head * 0.68), 0.1);
    expect(
      read(
        'sm.head-off',
        facing(() => undefined),
        'overhand',
        'front',
      ),
    ).to.be.closeTo(0, 0.1);
    const isHand = (name: PointName): boolean => /^left(Wrist|Index|Little|Thumb)/.test(name);
    const swung = facing((name, frame) => (isHand(name) ? [0.5 * out(frame), 0] : undefined));
    expect(read('sm.hook-stop', swung, 'lead-hook', 'front'), 'past the middle').to.be.closeTo(30 / size.shoulderWidth, 0.08);
    const wound = facing((name, frame) => (isHand(name) ? [-0.2 * between(frame, 48, 58), 0] : undefined));
    expect(read('sm.hook-width', wound, 'lead-hook', 'front')).to.be.closeTo(20 / size.forearm, 0.08);
    const bowed = facing((name, frame) =>
      isHand(name) ? [-0.2 * (between(frame, 60, 67) - between(frame, 67, 75)), 0] : undefined,
    );
    expect(read('sm.straight', bowed, 'jab', 'front')).to.be.closeTo(20 / (size.upperArm + size.forearm), 0.05);
    expect(
      read(
        'sm.straight',
        facing(() => undefined),
        'jab',
        'front',
      ),
    ).to.be.closeTo(0, 0.05);
    const parried = facing((name, frame) => (/^right(Wrist)/.test(name) ? [-0.25 * out(frame), 0] : undefined));
    expect(read('df.parry', parried, 'parry', 'front')).to.be.closeTo(25 / size.forearm, 0.1);
    const ofContact = (frame: number): number => ((frame - contactFrame) * 1000) / rate;
    const leaving = (from: number) =>
      facing((name, frame) => (name === 'nose' ? [0.4 * between(frame, from, from + 2), 0] : undefined));
    for (const from of [108, 120, 140])
      expect(read('ex.move', leaving(from), 'jab', 'front')).to.be.closeTo(ofContact(from + 1), 30);
    const stays = facing(() => undefined);
    expect(read('ex.move', stays, 'jab', 'front'), 'as long as is looked').to.be.closeTo(ofContact(159), 30);
    // Straight back from the camera the feet come up in the picture, and the head stays on its line.
    const back = facing((name, frame) => (/Ankle|Heel|Toe/.test(name) ? [0, 0.3 * between(frame, 100, 120)] : undefined));
    expect(readOf('ex.move', back, 'jab', 'front'), 'out of range').to.equal(undefined);
    const rising = facing((name, frame) => (name === 'rightAnkle' ? [-0.5 * out(frame), 1.0 * out(frame)] : undefined));
    expect(read('kk.path', rising, 'rear-round', 'front')).to.be.closeTo((Math.atan2(1, 0.5) * 180) / Math.PI, 3);
  });

  it('come out the same each time', () => {
    expect(read('gd.return-line', jab)).to.equal(read('gd.return-line', jab));
  });
});

describe('what is measured of points that were put right by hand', () => {
  /** Whatever was found of these points is wrong by so many pixels. */
  const wrong: Moving = (name, frame) => {
    const [ahead, up] = jab(name, frame);
    return name === 'leftWrist' ? [ahead, up - 0.3] : [ahead, up];
  };
  const armAtContact: readonly PointName[] = ['leftShoulder', 'leftElbow', 'leftWrist'];
  const pinsOf = (scene: FollowedFilm, points: readonly PointName[], frames = [contactFrame]): Pin[] =>
    frames.flatMap((frame) => points.map((point): Pin => ({ frame, point, said: 'here', ...placeIn(scene, frame, point) })));
  const placeIn = (scene: FollowedFilm, frame: number, point: PointName): { x: number; y: number } => {
    const { x, y } = pointIn(scene.track, frame, pointAt[point])!;
    return { x, y };
  };
  const told = (scene: FollowedFilm, id: ShippedCheckpointId, technique = 'jab') =>
    measureByPoints(measurable(scene, moments, techniqueIn(shippedCatalogue, technique))!, id)!;

  it('is what the pins say: all of it pinned, the trials of the model count for nothing, and the doubt is small', () => {
    const [right, found] = [sceneOf(jab), sceneOf(wrong)];
    const [before, after] = [told(found, 'sm.extension'), told(pinnedFilm(found, pinsOf(right, armAtContact)), 'sm.extension')];
    const truth = rawMeasure(measurable(right, moments, techniqueIn(shippedCatalogue, 'jab'))!, pointMeasures['sm.extension']!)!;
    expect(after.value).to.be.closeTo(truth.value, 2);
    expect(before).to.have.property('doubt').above(12);
    expect(after).to.have.property('doubt').below(8);
    expect(after).to.have.property('shared', 0);
  });

  it('keeps a share of what trials say where a part of it is pinned', () => {
    const scene = sceneOf(jab);
    const [none, part, all] = [[], ['leftWrist'] as const, armAtContact].map(
      (points) => told(pinnedFilm(scene, pinsOf(scene, points)), 'sm.extension') as { shared: number; doubt: number },
    );
    expect(part!.shared).to.be.within(all!.shared + 0.1, none!.shared - 0.1);
    expect(part!.doubt).to.be.within(all!.doubt, none!.doubt);
  });

  it('tells of the far limb once it is pinned, and of what is hidden it tells nothing', () => {
    const far = sceneOf(jab, 'rear-side');
    expect(told(far, 'sm.extension').value).to.equal(undefined);
    expect(told(pinnedFilm(far, pinsOf(far, armAtContact)), 'sm.extension').value).to.be.a('number');
    const near = sceneOf(jab);
    const hidden = armAtContact.map((point): Pin => ({ frame: contactFrame, point, said: 'hidden', x: null, y: null }));
    expect(told(pinnedFilm(near, hidden), 'sm.extension').value).to.equal(undefined);
  });

  it('changes nothing of strikes further away', () => {
    const scene = sceneOf(jab);
    const pinned = pinnedFilm(scene, pinsOf(sceneOf(wrong), ['leftWrist'], [150]));
    expect(told(pinned, 'sm.extension')).to.deep.equal(told(scene, 'sm.extension'));
  });
});

describe('the instant that decides a row', () => {
  const lowestAt = contactFrame + 12;
  /** A jab whose hand sinks on its way home, and is lowest there. */
  const sinking: Moving = (name, frame) => {
    const [ahead, up] = jab(name, frame);
    const sinks = between(frame, contactFrame, lowestAt) - between(frame, lowestAt, homeFrame);
    return /left(Wrist|Index|Little|Thumb)/.test(name) ? [ahead, up - 0.4 * sinks] : [ahead, up];
  };
  const strike = (moving: Moving) => measurable(sceneOf(moving), moments, techniqueIn(shippedCatalogue, 'jab'))!;

  it('is when the hand is lowest on its way home, less by how much that is late in trials', () => {
    const { time, doubt } = decidedAt(strike(sinking), 'gd.return-line', false)!;
    expect(time + decidedIn['gd.return-line']!.late).to.be.closeTo((lowestAt * 1000) / rate, 12);
    expect(doubt).to.equal(decidedIn['gd.return-line']!.doubt);
  });

  it('is none where the hand stays up, where a moment of the strike decides, and where nothing is read', () => {
    expect(decidedAt(strike(jab), 'gd.return-line', true)).to.equal(undefined);
    expect(decidedAt(strike(sinking), 'sm.extension', false)).to.equal(undefined);
    expect(decidedAt(strike(sinking), 'ph.head-clear', false)).to.equal(undefined);
  });
});

describe('what is measured by points', () => {
  const measured = (
    id: ShippedCheckpointId,
    change: { view?: View; strike?: Partial<StrikeMoments>; technique?: string } = {},
  ) => {
    const { view = 'lead-side', strike = {}, technique = 'jab' } = change;
    return measureByPoints(
      measurable(sceneOf(jab, view), { ...moments, ...strike }, techniqueIn(shippedCatalogue, technique))!,
      id,
    );
  };
  const reason = (...asked: Parameters<typeof measured>): string => {
    const told = measured(...asked)!;
    return told.value === undefined ? told.reason : `It is ${told.value}.`;
  };

  it('says from where to film what cannot be seen from here', () => {
    expect(reason('st.width')).to.include('front or rear');
    expect(reason('gd.return-line', { view: 'front' })).to.include('lead side or rear side');
    expect(reason('gd.return-line', { technique: 'cross' }), 'the far hand').to.include('film from the rear side');
    expect(reason('gd.height', { view: 'quarter' }), 'told along alone').to.include('film from the front or rear');
    expect(reason('pv.rear-turn', { technique: 'cross' }), 'told from nowhere').to.include('by eye');
    expect(reason('gd.other-hand', { technique: 'jab' }), 'the far hand').to.include('film from the rear side');
  });

  it('is never taken from a moment that is guessed', () => {
    expect(reason('gd.other-hand', { view: 'front', strike: { homeOrigin: 'guessed' } })).to.include('home');
    expect(measured('st.lean', { strike: { homeOrigin: 'guessed', launchOrigin: 'guessed' } })!.value).to.be.a('number');
  });

  it('is nothing where nobody reads it from points, and where nobody was found', () => {
    expect(measured('sm.fist')).to.equal(undefined);
    const empty = { ...sceneOf(jab), track: emptyTrack(0, 160) };
    expect(measurable(empty, moments, techniqueIn(shippedCatalogue, 'jab'))).to.equal(undefined);
  });

  it('is nothing where what it looks at is out of the picture: a model makes such places up', () => {
    const whole = sceneOf(jab);
    const cut = { ...whole, picture: { width: 1000, height: 400 } };
    const of = (scene: FollowedFilm, id: ShippedCheckpointId) =>
      measureByPoints(measurable(scene, moments, techniqueIn(shippedCatalogue, 'jab'))!, id)!;
    // The ankles are below, the trunk is in the picture.
    expect(of(whole, 'st.balance').value).to.be.a('number');
    expect(of(cut, 'st.balance')).to.have.property('reason').that.includes('out of the picture');
    expect(of(cut, 'st.lean')).to.deep.equal(of(whole, 'st.lean'));
  });

  it('is nothing where somebody else is followed half way through', () => {
    const crossing: Moving = (name, frame) => {
      const [ahead, up] = jab(name, frame);
      return frame > contactFrame + 5 ? [ahead - 2, up] : [ahead, up];
    };
    const of = (id: ShippedCheckpointId) =>
      measureByPoints(measurable(sceneOf(crossing), moments, techniqueIn(shippedCatalogue, 'jab'))!, id)!;
    expect(of('gd.return-line').value).to.equal(undefined);
    expect(of('st.lean').value).to.be.a('number');
  });

  it('is corrected by what trials say, and doubts more than they do', () => {
    const trial = trialOf('st.lean', 'near')!;
    const told = measured('st.lean')!;
    if (told.value === undefined) throw new Error(told.reason);
    expect(told.value).to.be.closeTo(read('st.lean', jab) - trial.bias, 1e-9);
    expect(told.doubt).to.be.at.least(doubtOfTrial(trial, widerThanTrials));
    expect(told.shared).to.equal(widerThanTrials * trial.narrower * trial.shared);
    expect(trialOf('st.lean', 'quarter')).to.equal(undefined);
  });
});

describe('moments on the path of a limb', () => {
  /** A jab that begins and ends at rest, as people do it. */
  const eased: Moving = (name, frame) => {
    const smooth = (u: number): number => u * u * (3 - 2 * u);
    const [ahead, up] = still(name);
    const out = smooth(between(frame, launchFrame, contactFrame)) - smooth(between(frame, contactFrame, homeFrame));
    return name === 'leftWrist' ? [ahead + 0.7 * out, up] : [ahead, up];
  };
  const guessed: StrikeMoments = {
    ...{ launchFrame: contactFrame - 24, contactFrame, homeFrame: contactFrame + 40 },
    ...{ launchOrigin: 'guessed', contactOrigin: 'set', homeOrigin: 'guessed' },
  };
  const jabbed = techniqueIn(shippedCatalogue, 'jab');
  const found = (change: { moving?: Moving; view?: View; strike?: Partial<StrikeMoments>; technique?: string } = {}) => {
    const { moving = eased, view = 'lead-side', strike = {}, technique = 'jab' } = change;
    return withFoundMoments(sceneOf(moving, view), { ...guessed, ...strike }, techniqueIn(shippedCatalogue, technique));
  };

  it('replace what is guessed, less by what trials say that they are found too late', () => {
    const told = found();
    const late = (name: 'launch' | 'home'): number => (foundIn['near hand'][name]!.late * rate) / 1000;
    expect([told.launchOrigin, told.homeOrigin]).to.deep.equal(['found', 'found']);
    expect(told.launchFrame).to.be.closeTo(launchFrame - late('launch'), 1);
    expect(told.homeFrame).to.be.closeTo(homeFrame - late('home'), 1);
  });

  it('leave alone what a coach has set', () => {
    const own = found({ strike: { launchOrigin: 'set', homeFrame: 97, homeOrigin: 'set' } });
    expect(own).to.deep.equal({ ...guessed, launchOrigin: 'set', homeFrame: 97, homeOrigin: 'set' });
    expect(found({ strike: { launchOrigin: 'set' } }).launchFrame).to.equal(guessed.launchFrame);
  });

  it('are not told where nothing moves, where the contact itself is a guess, and where trials were too few', () => {
    expect(found({ moving: still })).to.deep.equal(guessed);
    expect(found({ strike: { contactOrigin: 'guessed' } }).launchOrigin).to.equal('guessed');
    for (const technique of ['rear-round', 'slip', 'rear-knee']) expect(found({ technique }), technique).to.deep.equal(guessed);
    expect(found({ view: 'quarter' })).to.deep.equal(guessed);
    expect(found({ view: 'front' }).homeOrigin, 'nobody sees from the front when a hand is home').to.equal('guessed');
  });

  it('make a strike measurable of which only the contact was told, with more doubt than what was set', () => {
    const scene = sceneOf(eased);
    const told = measurable(scene, guessed, jabbed)!;
    expect(told.strike.homeOrigin).to.equal('found');
    const snap = measureOf(scene.timeline, guessed, told, { id: 'sm.snap', measure: 'snap-ratio' })!;
    const set = measureOf(scene.timeline, { ...told.strike, launchOrigin: 'set', homeOrigin: 'set' }, undefined, {
      ...{ id: 'sm.snap', measure: 'snap-ratio' },
    })!;
    if (snap.value === undefined || set.value === undefined) throw new Error('Both are told.');
    expect(snap.value).to.equal(set.value);
    expect(snap.doubt).to.be.above(2 * set.doubt);
    expect(measureOf(scene.timeline, guessed, undefined, { id: 'sm.snap', measure: 'snap-ratio' })!.value).to.equal(undefined);
  });

  it('of a limb that leaves the picture half way are not invented', () => {
    const scene = sceneOf(eased);
    const { track } = scene;
    const gone = { ...track, values: track.values.slice() };
    for (let frame = launchFrame - 30; frame < contactFrame - 2; frame++)
      gone.values.fill(NaN, frame * numbersOfFrame, (frame + 1) * numbersOfFrame);
    expect(withFoundMoments({ ...scene, track: gone }, guessed, jabbed).launchOrigin).to.equal('guessed');
  });
});
