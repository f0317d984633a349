import { expect } from 'chai';
import {
  checklistFor,
  checkpoint,
  checkpoints,
  families,
  isCheckpointId,
  isTechniqueId,
  phases,
  severities,
  techniqueCalled,
  techniqueIds,
  techniques,
  usualStars,
  views,
  walkOf,
  walkStops,
} from './index.ts';

describe('catalogue of checkpoints', () => {
  it('has every id once', () => {
    const ids = checkpoints.map(({ id }) => id);
    expect(new Set(ids).size).to.equal(ids.length);
  });

  for (const row of checkpoints) {
    it(`${row.id} says what is looked at, where, why, and what to shout`, () => {
      expect(families).to.include(row.family);
      expect(walkStops).to.include(row.stop);
      expect(phases).to.include(row.phase);
      expect(severities).to.include(row.severity);
      expect(row.question).to.match(/^[A-Z].*\?$/);
      expect(row.clean).to.match(/\.$/);
      expect(row.why).to.match(/\.$/);
      expect(row.faults).to.not.be.empty;
      expect(row.views).to.not.be.empty;
      for (const view of row.views) expect(views).to.include(view);
      expect(row.cues).to.not.be.empty;
      for (const cue of row.cues) expect(cue.split(/\s+/).length, cue).to.be.at.most(7);
    });
  }

  it('answers for an id that it does not have', () => {
    expect(isCheckpointId('gd.return-line')).to.equal(true);
    expect(isCheckpointId('nothing')).to.equal(false);
    expect(() => checkpoint('nothing')).to.throw(RangeError, 'nothing');
  });
});

describe('techniques', () => {
  for (const id of techniqueIds) {
    it(`${id} is called by its own number and looks at base, guard and strike`, () => {
      const technique = techniques[id];
      expect(techniqueCalled(technique.call)).to.equal(technique);
      expect(new Set(technique.checkpoints).size).to.equal(technique.checkpoints.length);
      const seen = new Set(technique.checkpoints.map((row) => checkpoint(row).family));
      expect([...seen]).to.include.members(['stance', 'guard', 'strike', 'exit']);
    });
  }

  it('know no other number and no other name', () => {
    expect(techniqueCalled('9')).to.equal(undefined);
    expect(isTechniqueId('jab')).to.equal(true);
    expect(isTechniqueId('uppercut of doom')).to.equal(false);
  });

  it('judge the rear leg only where the rear hand strikes', () => {
    expect(techniques.cross.checkpoints).to.include('pv.rear-turn');
    expect(techniques.jab.checkpoints).to.not.include('pv.rear-turn');
  });
});

describe('checklist', () => {
  for (const technique of techniqueIds) {
    for (const view of views) {
      it(`of a ${technique} from the ${view} goes from the feet up, and says why a row is closed`, () => {
        const rows = checklistFor(technique, view);
        expect(rows.map(({ checkpoint: { id } }) => id)).to.have.members([...techniques[technique].checkpoints]);
        const stops = rows.map(({ checkpoint: { stop } }) => walkStops.indexOf(stop));
        expect(stops).to.deep.equal([...stops].sort((a, b) => a - b));
        for (const row of rows) {
          expect(row.shown).to.equal((row.checkpoint.views as readonly string[]).includes(view));
          expect(row.reason === '').to.equal(row.shown);
        }
        expect(rows.some(({ shown }) => shown)).to.equal(true);
      });
    }
  }

  it('never lets the side judge the width of a stance', () => {
    const width = checklistFor('jab', 'lead-side').find((row) => row.checkpoint.id === 'st.width')!;
    expect(width.shown).to.equal(false);
    expect(width.reason).to.include('front');
  });
});

describe('walk', () => {
  const checklist = checklistFor('cross', 'lead-side');

  it('in short has the starred rows that can be seen, in walking order', () => {
    const rows = walkOf(checklist, new Set(usualStars), false);
    expect(rows.map(({ checkpoint: { id } }) => id)).to.deep.equal([
      'pv.rear-turn', 'sm.telegraph', 'sm.straight', 'gd.return-line', 'gd.other-hand',
    ]); // prettier-ignore
  });

  it('in full has all that can be seen and nothing else', () => {
    expect(walkOf(checklist, new Set(), true)).to.deep.equal(checklist.filter(({ shown }) => shown));
  });

  it('never has a row that this view cannot show, starred or not', () => {
    expect(walkOf(checklist, new Set(['st.width']), false)).to.deep.equal([]);
  });
});
