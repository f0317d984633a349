import { archiveFormat, archiveVersion } from '@wax-fist/core/formats';
import { schemaOf } from './as-json.ts';
import { columnsOf, recordKinds } from './records.ts';

const text = { type: 'string' };
const count = { type: 'integer', minimum: 0 };
const objectOf = (properties: Record<string, unknown>) => ({
  type: 'object',
  required: Object.keys(properties),
  properties,
});
const listOf = (properties: Record<string, unknown>) => ({ type: 'array', items: objectOf(properties) });

/** The published schema (JSON Schema, draft 2020-12) of an archive: of its manifest, and of a line of each kind of record. */
export const archiveSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: `Archive of a club or a trainee, version ${archiveVersion}: “archive.json”; lines of “records/<name>.jsonl” below $defs`,
  ...objectOf({
    format: { const: archiveFormat },
    version: { type: 'integer', minimum: 1 },
    madeAt: { type: 'string', format: 'date-time' },
    of: objectOf({ kind: { enum: ['club', 'trainee'] }, name: text }),
    people: listOf({ id: { type: 'string', format: 'uuid' }, name: text }),
    records: listOf({ name: text, rows: count }),
    files: listOf({ path: text, bytes: count, sha256: { type: 'string', pattern: '^[0-9a-f]{64}$' } }),
  }),
  $defs: Object.fromEntries(recordKinds.map(({ name, table }) => [name, schemaOf(name, columnsOf(table))])),
};
