import type { NamedColumn } from './records.ts';

/** A row as it comes from the database, and as it stands in a line of JSON. */
export type Row = Record<string, unknown>;
export type JsonRow = Record<string, unknown>;

/** A row as JSON: instants in ISO 8601, bytes in base 64. */
export const toJson = (columns: readonly NamedColumn[], row: Row): JsonRow =>
  Object.fromEntries(
    columns.map(({ name }) => {
      const value = row[name];
      if (value instanceof Date) return [name, value.toISOString()];
      return [name, Buffer.isBuffer(value) ? value.toString('base64') : value];
    }),
  );

/** The way back. It has been checked against its schema; what is missing stays so, and the database says what it begins with. */
export const fromJson = (columns: readonly NamedColumn[], row: JsonRow): Row =>
  Object.fromEntries(
    columns.map(({ name, column }) => {
      const value = row[name];
      if (typeof value !== 'string') return [name, value];
      if (column.dataType === 'date') return [name, new Date(value)];
      return [name, isBytes(column) ? Buffer.from(value, 'base64') : value];
    }),
  );
const isBytes = (column: NamedColumn['column']): boolean => column.getSQLType() === 'bytea';

type Schema = Record<string, unknown>;
const typeOf = ({ column }: NamedColumn): Schema => {
  if (isBytes(column)) return { type: 'string', contentEncoding: 'base64' };
  const sqlType = column.getSQLType();
  if (sqlType === 'uuid') return { type: 'string', format: 'uuid' };
  if (sqlType === 'date') return { type: 'string', format: 'date' };
  if (column.dataType === 'date') return { type: 'string', format: 'date-time' };
  if (column.dataType === 'boolean') return { type: 'boolean' };
  if (column.dataType === 'number') return { type: sqlType.includes('int') ? 'integer' : 'number' };
  if (column.dataType === 'json') return { type: ['object', 'array'] };
  return { type: 'string', pattern: '^[^\\u0000]*$', ...(column.enumValues && { enum: column.enumValues }) };
};
/** What may be missing may be null. */
function orNull(schema: Schema): Schema {
  const { type, enum: values } = schema as { type: string | string[]; enum?: string[] };
  return { ...schema, type: [type, 'null'].flat(), ...(values && { enum: [...values, null] }) };
}

/** The JSON Schema of a line. What a row begins with by itself may be missing: an archive may be older than the column. */
export const schemaOf = (title: string, columns: readonly NamedColumn[]): Schema => ({
  title,
  type: 'object',
  required: columns.filter(({ column }) => column.notNull && !column.hasDefault).map(({ name }) => name),
  additionalProperties: false,
  properties: Object.fromEntries(
    columns.map((one) => [one.name, one.column.notNull ? typeOf(one) : orNull(typeOf(one))] as const),
  ),
});
