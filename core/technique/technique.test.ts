import { expect } from 'chai';
import fc from 'fast-check';
import {
  bandOfZones,
  bandProblem,
  catalogueOf,
  causesIn,
  checklistFor,
  checkpointIn,
  checkpoints,
  families,
  fixedFor,
  handOf,
  isMeasureId,
  matchUpOf,
  measures,
  noClubEdits,
  severities,
  shippedCatalogue,
  strikeFamilies,
  targetZones,
  techniqueIn,
  techniqueKinds,
  techniques,
  usualSchool,
  upstreamOf,
  usuallyStarred,
  verdictIn,
  views,
  walkOf,
  walkStops,
  type Judging,
  type View,
} from './index.ts';
import { phases } from '../strikes/index.ts';

const seenFrom = (view: View, change: Partial<Judging> = {}): Judging => ({ school: usualSchool, view, ...change });

describe('catalogue of checkpoints', () => {
  it('has every id once, and a name for each that no other has', () => {
    expect(new Set(checkpoints.map(({ id }) => id)).size).to.equal(checkpoints.length);
    expect(new Set(checkpoints.map(({ name }) => name)).size).to.equal(checkpoints.length);
    expect(checkpoints.length).to.be.above(90);
  });

  it('says of each what is looked at, where, why, and what to shout', () => {
    for (const row of checkpoints) {
      expect(families, row.id).to.include(row.family);
      expect(walkStops, row.id).to.include(row.stop);
      expect(phases, row.id).to.include(row.phase);
      expect(severities, row.id).to.include(row.severity);
      expect(row.question, row.id).to.match(/^[A-Z].*\?$/);
      expect(row.clean, row.id).to.match(/\.$/);
      expect(row.why, row.id).to.match(/\.$/);
      expect(row.faults, row.id).to.not.be.empty;
      expect(row.views, row.id).to.not.be.empty;
      for (const view of row.views) expect(views, row.id).to.include(view);
      expect(row.cues, row.id).to.not.be.empty;
      for (const cue of row.cues) expect(cue.split(/\s+/).length, cue).to.be.at.most(7);
    }
  });

  it('measures each with a measure that there is, or leaves it to eye or ear', () => {
    for (const { id, measure } of checkpoints)
      expect(isMeasureId(measure) || ['eye', 'ear'].includes(measure), id).to.equal(true);
  });

  it('has causes that are checkpoints, and never one that is its own cause in the end', () => {
    const causesOf = (id: string): readonly string[] => checkpointIn(shippedCatalogue, id).causes;
    const visit = (id: string, path: readonly string[]): void => {
      expect(path, `${path.join(' ← ')} ← ${id}`).to.not.include(id);
      for (const cause of causesOf(id)) visit(cause, [...path, id]);
    };
    for (const { id } of checkpoints) visit(id, []);
  });

  it('answers for an id that it does not have', () => {
    expect(() => checkpointIn(shippedCatalogue, 'nothing')).to.throw(RangeError, 'nothing');
    expect(() => techniqueIn(shippedCatalogue, 'uppercut of doom')).to.throw(RangeError, 'uppercut of doom');
  });
});

describe('measures', () => {
  it('have bands in which what is clean lies inside of what is one to watch', () => {
    for (const [id, { band }] of Object.entries(measures)) if (band) expect(bandProblem(band), id).to.equal(undefined);
  });

  it('that have no band of their own get one from every technique that uses them, or from a school', () => {
    const rows = techniques.flatMap(({ id }) =>
      checklistFor(shippedCatalogue, id, seenFrom('quarter')).map((row) => ({ id, row })),
    );
    const bare = rows.filter(({ row }) => isMeasureId(row.checkpoint.measure) && !row.band);
    // Where the foot goes is told by the match-up and not by a number alone.
    expect(
      bare.map(({ id, row }) => `${id} ${row.checkpoint.id}`).filter((name) => !name.includes('pv.outside-foot')),
    ).to.deep.equal([]);
  });

  it('judge a value by its band, ends included', () => {
    const band = { clean: [1, 2], watch: [0, 3] } as const;
    expect([0, 1, 2, 3].map((value) => verdictIn(band, value))).to.deep.equal(['watch', 'clean', 'clean', 'watch']);
    expect([-0.1, 3.1].map((value) => verdictIn(band, value))).to.deep.equal(['fault', 'fault']);
    expect(verdictIn({ clean: [null, 1], watch: [null, 2] }, -1e9)).to.equal('clean');
  });

  for (const [name, band, says] of [
    ['no end', { clean: [null, null], watch: [null, null] }, 'at least one end'],
    ['ends the wrong way round', { clean: [2, 1], watch: [0, 3] }, 'ends after it begins'],
    ['a watch inside of clean', { clean: [0, 3], watch: [1, 2] }, 'lies inside'],
    ['a watch that ends where clean is open', { clean: [0, null], watch: [0, 2] }, 'lies inside'],
    ['an end that is no number', { clean: [0, Number.NaN], watch: [0, 3] }, 'numbers'],
  ] as const) {
    it(`refuse a band with ${name}`, () => expect(bandProblem(band)).to.include(says));
  }
});

describe('techniques', () => {
  it('have every id and every name once', () => {
    expect(new Set(techniques.map(({ id }) => id)).size).to.equal(techniques.length);
    expect(new Set(techniques.map(({ name }) => name)).size).to.equal(techniques.length);
  });

  it('look at all five families, or say why not', () => {
    for (const { id, checkpoints: rows, without } of techniques) {
      const seen = new Set(rows.map((row) => checkpointIn(shippedCatalogue, row).family));
      for (const family of strikeFamilies) {
        expect(seen.has(family) || without[family] !== undefined, `${id} without ${family}`).to.equal(true);
        expect(seen.has(family) && without[family] !== undefined, `${id} with ${family} and a reason`).to.equal(false);
      }
    }
  });

  it('point only at what there is', () => {
    for (const technique of techniques) {
      expect(techniqueKinds).to.include(technique.kind);
      for (const id of technique.checkpoints) checkpointIn(shippedCatalogue, id);
      for (const id of technique.chain) checkpointIn(shippedCatalogue, id);
      for (const id of Object.keys(technique.bands)) expect(technique.checkpoints, `band of ${technique.id}`).to.include(id);
      for (const zone of technique.zones) expect(targetZones).to.include(zone);
      for (const band of Object.values(technique.bands)) expect(bandProblem(band)).to.equal(undefined);
      expect(technique.risk, technique.id).to.match(/\.$/);
    }
  });

  it('ask one thing once: no two rows of a checklist have the same number at the same moment', () => {
    for (const { id, checkpoints: listed } of techniques) {
      const numbers = listed
        .map((row) => checkpointIn(shippedCatalogue, row))
        .filter(({ measure }) => isMeasureId(measure))
        .map(({ measure, phase }) => `${measure} at ${phase}`);
      expect(numbers, id).to.deep.equal([...new Set(numbers)]);
    }
  });

  it('have chains that follow the causes, row by row of their own checklist', () => {
    for (const { id, chain, checkpoints: listed } of techniques) {
      expect(listed, id).to.include.members([...chain]);
      chain.slice(1).forEach((effect, place) => {
        expect([...upstreamOf(shippedCatalogue.checkpoints, effect)], `${id}: ${chain[place]} → ${effect}`).to.include(
          chain[place],
        );
      });
    }
  });

  it('point from a fault only at causes that are looked at with it, past those that are not', () => {
    for (const { id, checkpoints: listed } of techniques) {
      for (const row of listed) {
        const causes = causesIn(shippedCatalogue, id, row).map((cause) => cause.id);
        expect(listed, `${id} ${row}`).to.include.members(causes);
        expect([...upstreamOf(shippedCatalogue.checkpoints, row)], `${id} ${row}`).to.include.members(causes);
      }
    }
    // The step is not looked at in a jab on the spot; what it rests on is.
    expect(causesIn(shippedCatalogue, 'jab', 'st.lean').map(({ id }) => id)).to.deep.equal(['sm.range', 'st.knees']);
  });

  const every = (kind: string): readonly string[] => techniques.filter((one) => one.kind === kind).map(({ id }) => id);
  const demanded: [kind: string, rows: readonly string[]][] = [
    ['hand', ['sm.fist', 'gd.return-line', 'gd.other-hand', 'st.balance']],
    ['jab-cross', ['sm.fist', 'gd.return-line', 'gd.other-hand', 'st.balance']],
    ['elbow', ['gd.return-line', 'st.balance']],
    ['kick', ['gd.other-hand', 'gd.kick-hand', 'sm.target', 'kk.upright']],
    ['knee', ['gd.other-hand', 'gd.kick-hand', 'sm.target']],
  ];
  for (const [kind, rows] of demanded)
    it(`of the kind ${kind} all look at ${rows.join(', ')}`, () => {
      for (const id of every(kind)) expect(techniqueIn(shippedCatalogue, id).checkpoints, id).to.include.members(rows);
    });

  it('hold where it lands to the zones in which it may: a low kick to the thigh, a hook to the body to what is over the belt', () => {
    const bandIn = (technique: string) =>
      checklistFor(shippedCatalogue, technique, seenFrom('front')).find(({ checkpoint }) => checkpoint.id === 'sm.target')!;
    for (const { id, zones } of techniques)
      if (techniqueIn(shippedCatalogue, id).checkpoints.includes('sm.target')) {
        expect(zones, id).to.not.be.empty;
        expect(bandProblem(bandIn(id).band!), id).to.equal(undefined);
      }
    // Heights over the hips in trunks: the belt line, the ribs, a thigh.
    const [belt, ribs, thigh] = [0.2, 0.6, -0.5];
    const said = (technique: string): string[] => [belt, ribs, thigh].map((height) => verdictIn(bandIn(technique).band!, height));
    expect(said('lead-body-hook')).to.deep.equal(['fault', 'clean', 'fault']);
    expect(said('low-kick')).to.deep.equal(['fault', 'fault', 'clean']);
    expect(said('push-kick'), 'from the hip up').to.deep.equal(['clean', 'clean', 'fault']);
    expect(bandIn('lead-body-hook').bandBy).to.equal('technique');
    expect(bandOfZones([]), 'lands nowhere').to.equal(undefined);
  });

  it('take whoever it is thrown at for as tall as they are', () => {
    const judging = { school: usualSchool, view: 'front' as const };
    const bandOn = (opponent?: number) =>
      checklistFor(shippedCatalogue, 'lead-body-hook', { ...judging, opponent }).find(
        ({ checkpoint }) => checkpoint.id === 'sm.target',
      )!.band!;
    expect(bandOn(1)).to.deep.equal(bandOn());
    // Ribs begin 0.38 of a trunk over hips that are 1.84 trunks high: on somebody taller by a tenth these are a tenth of that higher.
    expect(bandOn(1.1).clean[0]! - bandOn().clean[0]!).to.be.closeTo(0.1 * (0.38 + 1.84), 0.01);
    expect(verdictIn(bandOn(0.85), 0.75), 'a short one’s chin').to.equal('fault');
    expect(bandOn(1.1).watch[0]! - bandOn(1.1).clean[0]!, 'a hand’s breadth is a hand’s breadth').to.be.closeTo(-0.13, 1e-9);
  });

  it('ask for foot with fist only where somebody steps, and a low kick for its own path', () => {
    expect(techniqueIn(shippedCatalogue, 'jab-cross-static').checkpoints).to.not.include('pv.sync');
    expect(techniqueIn(shippedCatalogue, 'jab-cross-step').checkpoints).to.include('pv.sync');
    const low = techniqueIn(shippedCatalogue, 'low-kick');
    expect(low.checkpoints).to.include('kk.path');
    expect(low.bands['pv.support-turn']).to.not.deep.equal(techniqueIn(shippedCatalogue, 'rear-round').bands['pv.support-turn']);
  });

  it('of which hips that are poked back are a fault in every school are straights, and the trunk folds forward', () => {
    expect(fixedFor('jab', 'st.lean')!.within).to.deep.equal([null, 25]);
    expect(techniques.filter(({ id }) => fixedFor(id, 'st.lean')).every(({ id }) => /jab|cross/.test(id))).to.equal(true);
    expect(fixedFor('rear-uppercut', 'st.lean')).to.equal(undefined);
  });

  it('leave no checkpoint out: each is looked at somewhere', () => {
    const used = new Set<string>(techniques.flatMap((technique) => technique.checkpoints));
    const perRound = checkpoints.filter(({ family }) => family === 'rhythm').map(({ id }) => id as string);
    const left = checkpoints.map(({ id }) => id as string).filter((id) => !used.has(id) && !perRound.includes(id));
    expect(left).to.deep.equal([]);
  });

  it('judge the rear leg only where the rear hand strikes', () => {
    expect(techniqueIn(shippedCatalogue, 'cross').checkpoints).to.include('pv.rear-turn');
    expect(techniqueIn(shippedCatalogue, 'jab').checkpoints).to.not.include('pv.rear-turn');
  });

  it('know which hand a stance throws them with', () => {
    expect([handOf('lead', 'orthodox'), handOf('lead', 'southpaw')]).to.deep.equal(['left', 'right']);
    expect([handOf('rear', 'orthodox'), handOf('both', 'southpaw')]).to.deep.equal(['right', undefined]);
  });
});

describe('checklist', () => {
  it('of every technique from every view goes from the feet up, and says why a row is closed', () => {
    for (const { id, checkpoints: listed } of techniques) {
      for (const view of views) {
        const rows = checklistFor(shippedCatalogue, id, seenFrom(view));
        const stops = rows.map(({ checkpoint: { stop } }) => walkStops.indexOf(stop));
        expect(stops, id).to.deep.equal([...stops].sort((a, b) => a - b));
        expect(
          rows.map(({ checkpoint }) => checkpoint.id),
          id,
        ).to.include.members(listed.filter((one) => one !== 'sm.level'));
        for (const row of rows) {
          expect(row.shown).to.equal(row.checkpoint.views.includes(view));
          expect(row.reason === '').to.equal(row.shown);
        }
      }
    }
  });

  const rowOf = (technique: string, checkpoint: string, judging: Judging) =>
    checklistFor(shippedCatalogue, technique, judging).find((row) => row.checkpoint.id === checkpoint)!;

  it('never lets the side judge the width of a stance', () => {
    expect(rowOf('jab', 'st.width', seenFrom('lead-side'))).to.include({ shown: false });
    expect(rowOf('jab', 'st.width', seenFrom('lead-side')).reason).to.include('film from the front or rear.');
    expect(rowOf('jab', 'gd.return-line', seenFrom('front')).reason).to.include('film from the lead side, rear side or quarter.');
    expect(rowOf('jab', 'st.width', seenFrom('lead-side', { other: 'front' }))).to.include({ shown: true, from: 'front' });
  });

  it('folds away what is over between two frames, and says at what rate to film', () => {
    expect(rowOf('jab', 'sm.snap', seenFrom('lead-side', { frameRate: 29.97 })).reason)
      .to.include('30 a second')
      .and.include('60');
    expect(rowOf('jab', 'sm.snap', seenFrom('lead-side', { frameRate: 59.94 })).shown).to.equal(true);
    expect(rowOf('jab', 'st.heels', seenFrom('lead-side', { frameRate: 24 })).shown).to.equal(true);
  });

  it('asks for the foot by how the two stand to each other', () => {
    const asked = (matchUp?: 'open' | 'closed') =>
      rowOf('body-jab', 'pv.outside-foot', seenFrom('front', { matchUp })).checkpoint;
    expect(matchUpOf('orthodox', 'southpaw')).to.equal('open');
    expect(asked(matchUpOf('southpaw', 'southpaw')).clean).to.include('between');
    expect(asked('open').clean).to.include('Outside');
    expect(asked().question).to.include('match-up');
  });

  it('has the holder’s rows at its end where somebody holds, each once', () => {
    const rows = checklistFor(shippedCatalogue, 'rear-round', seenFrom('front', { withHolder: true }));
    expect(rows.at(-1)!.checkpoint.family).to.equal('holding');
    const called = checklistFor(shippedCatalogue, 'pad-called', seenFrom('front', { withHolder: true })).map(
      (row) => row.checkpoint.id,
    );
    expect(new Set(called).size).to.equal(called.length);
  });

  it('has other bands for a full round kick and for the rising one', () => {
    expect(verdictIn(rowOf('rear-round', 'pv.support-turn', seenFrom('quarter')).band!, 30)).to.equal('fault');
    expect(verdictIn(rowOf('rising-45', 'pv.support-turn', seenFrom('quarter')).band!, 30)).to.equal('clean');
    expect(verdictIn(rowOf('rising-45', 'pv.support-turn', seenFrom('quarter')).band!, 80)).to.equal('fault');
  });
});

describe('walk', () => {
  const checklist = checklistFor(catalogueOf(noClubEdits), 'cross', seenFrom('lead-side'));
  const ids = (rows: readonly { checkpoint: { id: string } }[]): string[] => rows.map(({ checkpoint: { id } }) => id);

  it('in short has the starred rows that can be seen, in walking order', () => {
    expect(ids(walkOf(checklist, new Set(usuallyStarred), false))).to.deep.equal([
      'pv.rear-turn',
      'sm.telegraph',
      'sm.straight',
      'gd.return-line',
      'gd.other-hand',
    ]);
  });

  it('in full has all that can be seen and nothing else', () => {
    expect(walkOf(checklist, new Set(), true)).to.deep.equal(checklist.filter(({ shown }) => shown));
  });

  it('never has a row that this view cannot show, starred or not, unless it is judged anyway', () => {
    expect(walkOf(checklist, new Set(['st.width']), false)).to.deep.equal([]);
    expect(ids(walkOf(checklist, new Set(), false, new Set(['st.width'])))).to.deep.equal(['st.width']);
  });

  it('of any wishes is a part of the checklist in its order', () => {
    fc.assert(
      fc.property(fc.subarray(checklist.map((row) => row.checkpoint.id)), fc.boolean(), (wanted, full) => {
        const rows = ids(walkOf(checklist, new Set(wanted), full));
        expect(rows).to.deep.equal(ids(checklist).filter((id) => rows.includes(id)));
      }),
    );
  });
});
