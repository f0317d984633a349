import {
  editProblems,
  noClubEdits,
  rowsOf,
  shippedCatalogue,
  walkStops,
  catalogueOf,
  type EditedRow,
} from '@wax-fist/core/technique';
import { expect } from 'chai';
import fc from 'fast-check';
import { idFromName } from './own-id.ts';
import { useRowsEditor } from './use-rows-editor.ts';

const ids = (rows: readonly EditedRow[]): string[] => rows.map(({ checkpointId }) => checkpointId);
const rowOf = (rows: readonly EditedRow[], id: string): EditedRow => rows.find(({ checkpointId }) => checkpointId === id)!;

describe('rows of a checklist while they are changed', () => {
  it('begin in walking order, or in the club’s own', () => {
    const stops = useRowsEditor(shippedCatalogue, 'cross').rows.value.map(({ checkpointId }) =>
      walkStops.indexOf(shippedCatalogue.checkpoints.get(checkpointId)!.stop),
    );
    expect(stops).to.deep.equal([...stops].sort((a, b) => a - b));
    const own = [...rowsOf(shippedCatalogue, 'cross')].reverse();
    const catalogue = catalogueOf({ ...noClubEdits, checklists: { cross: own } });
    expect(ids(useRowsEditor(catalogue, 'cross').rows.value)).to.deep.equal(ids(own));
  });

  it('keep what was changed and drop what was emptied', () => {
    const editor = useRowsEditor(shippedCatalogue, 'jab');
    editor.change('sm.snap', { cue: 'Hot stove', hidden: true });
    expect(rowOf(editor.rows.value, 'sm.snap')).to.deep.equal({ checkpointId: 'sm.snap', cue: 'Hot stove', hidden: true });
    editor.change('sm.snap', { cue: '', hidden: false });
    expect(rowOf(editor.rows.value, 'sm.snap')).to.deep.equal({ checkpointId: 'sm.snap' });
    expect(editor.changed.value).to.equal(false);
  });

  it('are not doubled, not moved over an end, and a new step forgets what was undone', () => {
    const editor = useRowsEditor(shippedCatalogue, 'jab');
    const before = ids(editor.rows.value);
    editor.add(before[0]!);
    editor.move(before[0]!, -1);
    editor.move(before.at(-1)!, 1);
    editor.move('nothing', 1);
    expect(ids(editor.rows.value)).to.deep.equal(before);
    editor.add('st.length');
    editor.undo();
    editor.remove(before[0]!);
    editor.redo();
    expect(ids(editor.rows.value)).to.deep.equal(before.slice(1));
    expect([editor.canUndo.value, editor.canRedo.value]).to.deep.equal([true, false]);
  });

  const first = ids(useRowsEditor(shippedCatalogue, 'jab').rows.value);
  const step = fc.oneof(
    fc.record({
      kind: fc.constant('move' as const),
      id: fc.constantFrom(...first),
      by: fc.constantFrom(1 as const, -1 as const),
    }),
    fc.record({ kind: fc.constant('hide' as const), id: fc.constantFrom('sm.snap', 'sm.breath', 'st.chin') }),
    fc.record({ kind: fc.constant('add' as const), id: fc.constantFrom('st.length', 'pv.land', 'st.loose') }),
    fc.record({ kind: fc.constant('order' as const), to: fc.shuffledSubarray(first, { minLength: first.length }) }),
  );
  it('come back to where they began however many steps are undone, and go forth again', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 25 }), (steps) => {
        const editor = useRowsEditor(shippedCatalogue, 'jab');
        const before = JSON.stringify(editor.rows.value);
        for (const one of steps) {
          if (one.kind === 'move') editor.move(one.id, one.by);
          else if (one.kind === 'hide') editor.change(one.id, { hidden: true });
          else if (one.kind === 'add') editor.add(one.id);
          else editor.order(one.to);
        }
        const after = JSON.stringify(editor.rows.value);
        expect(editProblems({ ...noClubEdits, checklists: { jab: editor.rows.value } })).to.deep.equal([]);
        while (editor.canUndo.value) editor.undo();
        expect(JSON.stringify(editor.rows.value)).to.equal(before);
        while (editor.canRedo.value) editor.redo();
        expect(JSON.stringify(editor.rows.value)).to.equal(after);
      }),
    );
  });
});

describe('an id from a name', () => {
  for (const [name, id] of [
    ['Long jab!', 'long-jab'],
    ['  Élan vital ', 'e-lan-vital'],
    ['—', 'unnamed'],
    ['A'.repeat(90), 'a'.repeat(60)],
  ]) {
    it(`${name!.slice(0, 12)}: ${id!.slice(0, 12)}`, () => expect(idFromName(name!)).to.equal(id));
  }
});
