import { expect } from 'chai';
import {
  catalogueOf,
  checklistFor,
  checkpointIn,
  differencesOfEdits,
  editProblems,
  findInCatalogue,
  noClubEdits,
  rowsOf,
  shippedCatalogue,
  techniqueIn,
  usualSchool,
  type Checkpoint,
  type ClubEdits,
  type EditedRow,
  type Technique,
} from './index.ts';

const rows: readonly EditedRow[] = rowsOf(shippedCatalogue, 'jab');
const edits = (jab: readonly EditedRow[], change: Partial<ClubEdits> = {}): ClubEdits => ({
  ...noClubEdits,
  checklists: { jab },
  ...change,
});
const changed = (checkpointId: string, change: Partial<EditedRow>): ClubEdits =>
  edits(rows.map((row) => (row.checkpointId === checkpointId ? { ...row, ...change } : row)));
const own: Checkpoint = { ...checkpointIn(shippedCatalogue, 'st.width'), id: 'own.rope', name: 'Rope between the feet' };
const technique: Technique = {
  ...techniqueIn(shippedCatalogue, 'jab'),
  id: 'own.long-jab',
  name: 'Long jab',
  checkpoints: ['own.rope', 'sm.straight'],
};
const ids = (of: ClubEdits, id = 'jab'): string[] =>
  checklistFor(catalogueOf(of), id, { school: usualSchool, view: 'quarter' }).map((row) => row.checkpoint.id);

describe('a club’s own checklists', () => {
  it('hide, reorder, reword and change a band', () => {
    expect(ids(changed('sm.snap', { hidden: true }))).to.not.include('sm.snap');
    expect(ids(edits([...rows].reverse()))[0]).to.equal(rows.at(-1)!.checkpointId);
    const of = catalogueOf(
      changed('sm.snap', { question: 'Quick home?', cue: 'Hot stove', band: { clean: [null, 1], watch: [null, 1.2] } }),
    );
    const row = checklistFor(of, 'jab', { school: usualSchool, view: 'lead-side' }).find(
      (one) => one.checkpoint.id === 'sm.snap',
    )!;
    expect(row.checkpoint).to.include({ question: 'Quick home?' });
    expect(row.checkpoint.cues[0]).to.equal('Hot stove');
    expect([row.bandBy, row.band!.clean[1]]).to.deep.equal(['club', 1]);
  });

  it('have checkpoints and techniques of their own', () => {
    const of: ClubEdits = {
      checkpoints: [own],
      techniques: [technique],
      checklists: { jab: [...rows, { checkpointId: own.id }] },
    };
    expect(editProblems(of)).to.deep.equal([]);
    expect(ids(of)).to.include('own.rope');
    expect(ids(of, 'own.long-jab')).to.deep.equal(['own.rope', 'sm.straight']);
    expect(findInCatalogue(catalogueOf(of), 'long jab')[0]!.id).to.equal('own.long-jab');
  });

  const problems: [name: string, edits: ClubEdits, place: string, says: string][] = [
    ['a technique that is not there', { ...noClubEdits, checklists: { jabb: rows } }, 'checklists.jabb', '“jabb”'],
    ['a checkpoint that is not there', edits([{ checkpointId: 'sm.nothing' }]), 'checklists.jab[0].checkpointId', 'sm.nothing'],
    ['a row twice', edits([...rows, rows[0]!]), `checklists.jab[${rows.length}].checkpointId`, 'twice'],
    ['nothing left to look at', edits(rows.slice(0, 1).map((row) => ({ ...row, hidden: true }))), 'checklists.jab', 'hidden'],
    ['a band the wrong way round', changed('sm.snap', { band: { clean: [2, 1], watch: [0, 3] } }), '.band', 'ends after'],
    [
      'a locked elbow allowed',
      changed('sm.extension', { band: { clean: [165, 180], watch: [150, 185] } }),
      '.band',
      'every school',
    ],
    ['a bent wrist hidden', changed('sm.wrist', { hidden: true }), '.hidden', 'every school'],
    [
      'an open end where one is fixed',
      changed('sm.wrist', { band: { clean: [-5, null], watch: [-9, null] } }),
      '.band',
      'not above 18',
    ],
    ['an id that is ours', { ...noClubEdits, checkpoints: [{ ...own, id: 'st.width' }] }, 'checkpoints[0].id', 'own.'],
    ['an id twice', { ...noClubEdits, checkpoints: [own, own] }, 'checkpoints[1].id', 'twice'],
    ['a cause that is not there', { ...noClubEdits, checkpoints: [{ ...own, causes: ['x'] }] }, 'checkpoints[0].causes', '“x”'],
    [
      'causes that go round in a ring',
      {
        ...noClubEdits,
        checkpoints: [
          { ...own, causes: ['own.belt'] },
          { ...own, id: 'own.belt', name: 'Belt', causes: ['st.heels', own.id] },
        ],
      },
      'checkpoints[1].causes',
      'bring itself about',
    ],
    [
      'a chain through what is not there',
      { ...noClubEdits, techniques: [{ ...technique, checkpoints: ['st.width'], chain: ['st.width', 'x.y'] }] },
      'techniques[0].chain',
      '“x.y”',
    ],
    [
      'a band of one’s own the wrong way round',
      {
        ...noClubEdits,
        techniques: [{ ...technique, checkpoints: ['st.width'], bands: { 'st.width': { clean: [2, 1], watch: [0, 3] } } }],
      },
      'techniques[0].bands.st.width',
      'ends after',
    ],
    [
      'a technique of nothing',
      { ...noClubEdits, techniques: [{ ...technique, checkpoints: [] }] },
      'techniques[0].checkpoints',
      'at least one',
    ],
  ];
  for (const [name, of, place, says] of problems) {
    it(`tell the place of ${name}`, () => {
      const found = editProblems(of).find((problem) => problem.place.endsWith(place));
      expect(found?.says, JSON.stringify(editProblems(of))).to.include(says);
    });
  }

  it('say in words how one version differs from another', () => {
    const told = (before: ClubEdits, after: ClubEdits): string[] =>
      differencesOfEdits(before, after).map(({ technique: of, checkpoint, says }) => `${of} / ${checkpoint}: ${says}`);
    expect(told(noClubEdits, noClubEdits)).to.deep.equal([]);
    expect(told(noClubEdits, changed('sm.snap', { hidden: true }))).to.include('Jab / Snap: hidden');
    expect(told(changed('sm.snap', { hidden: true }), noClubEdits)).to.include('Jab / Snap: shown again');
    expect(told(changed('sm.snap', { cue: 'Hot' }), changed('sm.snap', {}))).to.deep.equal(['Jab / Snap: cue as it ships']);
    expect(told(changed('sm.snap', {}), changed('sm.snap', { band: { clean: [null, 1], watch: [null, 2] } }))).to.deep.equal([
      'Jab / Snap: band: clean up to 1, watch up to 2',
    ]);
    expect(told(edits(rows), edits([...rows].reverse()))).to.deep.equal(['Jab / : another order']);
    expect(told(noClubEdits, { ...noClubEdits, techniques: [technique], checkpoints: [own] })).to.deep.equal([
      'Long jab / : new',
    ]);
    expect(told(edits([...rows, { checkpointId: own.id }], { checkpoints: [own] }), edits(rows))).to.deep.equal([
      'Jab / Rope between the feet: taken out',
    ]);
  });
});

describe('find', () => {
  const asked: [typed: string, first: string][] = [
    ['jab', 'jab'],
    ['roundhouse', 'rear-round'],
    ['teep', 'push-kick'],
    ['foot jab', 'push-kick'],
    ['straight right', 'cross'],
    ['bob and weave', 'weave'],
    ['front round kick', 'lead-round'],
    ['slide step', 'step-and-recover'],
    ['lazy hand', 'gd.return-line'],
    ['cock back', 'sm.telegraph'],
    ['crowding', 'sm.range'],
    ['touch home', 'gd.return-line'],
    ['a-frame', 'gd.elbows'],
    ['UPPERCUT rear', 'rear-uppercut'],
  ];
  for (const [typed, first] of asked) {
    it(`${typed}: ${first}`, () => expect(findInCatalogue(shippedCatalogue, typed)[0]?.id).to.equal(first));
  }

  it('finds nothing for nothing, and nothing for what there is not', () => {
    expect(findInCatalogue(shippedCatalogue, '  ')).to.deep.equal([]);
    expect(findInCatalogue(shippedCatalogue, 'xylophone')).to.deep.equal([]);
  });
});
