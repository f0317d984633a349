import { Ajv } from 'ajv';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  checkpoints,
  families,
  noClubEdits,
  severities,
  targetZones,
  techniqueKinds,
  techniques,
  views,
  walkStops,
} from '@wax-fist/core/technique';
import { phases } from '@wax-fist/core/strikes';
import { ValidationError } from 'yup';
import { checklistDocumentShape, checklistFormat } from './checklists.ts';

interface Definitions {
  checkpoint: {
    properties: Record<'family' | 'stop' | 'phase' | 'severity', { enum: string[] }> & { views: { items: { enum: string[] } } };
  };
  technique: { properties: { kind: { enum: string[] }; zones: { items: { enum: string[] } } } };
}
const schema = JSON.parse(readFileSync(join(import.meta.dirname, '../web/public/formats/checklists.schema.json'), 'utf8')) as {
  definitions: Definitions;
};
const holds = new Ajv({ allErrors: true }).compile(schema);
const document = (edits: unknown, change: object = {}): unknown => ({ format: checklistFormat, version: 1, edits, ...change });

/** What the shape says is wrong, by place; empty when nothing is. */
function places(value: unknown): string[] {
  try {
    checklistDocumentShape.validateSync(value, { abortEarly: false });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return (error.inner.length > 0 ? error.inner : [error]).map(({ path }) => path ?? '');
  }
}

const own = { ...checkpoints[0]!, id: 'own.one' };
const flick = { ...techniques[0]!, id: 'own.flick' };
const row = { checkpointId: 'sm.snap', band: { clean: [null, 1], watch: [null, 2] }, cue: 'Hot stove', question: 'Quick?' };

describe('a file of checklists', () => {
  const sound: [string, unknown][] = [
    ['nothing changed', document(noClubEdits)],
    [
      'rows, a checkpoint and a technique of one’s own',
      document({
        checkpoints: [own],
        techniques: [flick],
        checklists: { jab: [row, { checkpointId: 'own.one', hidden: true }] },
      }),
    ],
  ];
  for (const [name, value] of sound) {
    it(`with ${name} holds by shape and by published schema`, () => {
      expect(places(value)).to.deep.equal([]);
      expect(holds(value), JSON.stringify(holds.errors)).to.equal(true);
    });
  }

  const wrong: [string, unknown, string][] = [
    ['another format', document(noClubEdits, { format: 'recipes' }), 'format'],
    ['a version to come', document(noClubEdits, { version: 9 }), 'version'],
    ['no edits', { format: checklistFormat, version: 1 }, 'edits.checkpoints'],
    [
      'a row about nothing',
      document({ ...noClubEdits, checklists: { jab: [{ hidden: true }] } }),
      'edits.checklists.jab[0].checkpointId',
    ],
    [
      'half a band',
      document({ ...noClubEdits, checklists: { jab: [{ ...row, band: { clean: [0, 1] } }] } }),
      'edits.checklists.jab[0].band.watch',
    ],
    [
      'three ends',
      document({ ...noClubEdits, checklists: { jab: [{ ...row, band: { clean: [0, 1, 2], watch: [0, 3] } }] } }),
      'edits.checklists.jab[0].band.clean',
    ],
    [
      'a statement for a question',
      document({ ...noClubEdits, checklists: { jab: [{ ...row, question: 'Quick.' }] } }),
      'edits.checklists.jab[0].question',
    ],
    [
      'a family that is none',
      document({ ...noClubEdits, checkpoints: [{ ...own, family: 'dance' }] }),
      'edits.checkpoints[0].family',
    ],
    ['a checkpoint without cues', document({ ...noClubEdits, checkpoints: [{ ...own, cues: [] }] }), 'edits.checkpoints[0].cues'],
    [
      'a strike in no time',
      document({ ...noClubEdits, techniques: [{ ...flick, usualOut: 1 }] }),
      'edits.techniques[0].usualOut',
    ],
    ['a list that is a word', document({ ...noClubEdits, techniques: 'none' }), 'edits.techniques'],
  ];
  for (const [name, value, place] of wrong) {
    it(`with ${name} is refused by both, with the place`, () => {
      expect(places(value)).to.include(place);
      expect(holds(value)).to.equal(false);
    });
  }

  it('tells every mistake at once', () => {
    const many = document({ ...noClubEdits, checklists: { jab: [{ ...row, question: 'No.' }], cross: [{ hidden: true }] } });
    expect(places(many)).to.have.members(['edits.checklists.jab[0].question', 'edits.checklists.cross[0].checkpointId']);
  });

  it('knows the same words as the catalogue', () => {
    const { checkpoint, technique } = schema.definitions;
    expect(checkpoint.properties.family.enum).to.have.members(families.filter((one) => one !== 'holding'));
    expect(checkpoint.properties.stop.enum).to.have.members([...walkStops]);
    expect(checkpoint.properties.phase.enum).to.have.members([...phases]);
    expect(checkpoint.properties.severity.enum).to.have.members([...severities]);
    expect(checkpoint.properties.views.items.enum).to.have.members([...views]);
    expect(technique.properties.kind.enum).to.have.members([...techniqueKinds]);
    expect(technique.properties.zones.items.enum).to.have.members([...targetZones]);
  });
});
