import type { Schema, SchemaFieldDescription, SchemaInnerTypeDescription, SchemaObjectDescription } from 'yup';

type Strip = (value: unknown) => unknown;

const asItIs: Strip = (value) => value;

function stripFor(shape: SchemaFieldDescription): Strip {
  if (shape.type === 'array') {
    const { innerType } = shape as SchemaInnerTypeDescription;
    if (!innerType || Array.isArray(innerType)) return asItIs;
    const strip = stripFor(innerType);
    return strip === asItIs ? asItIs : (value) => (Array.isArray(value) ? value.map(strip) : value);
  }
  if (shape.type !== 'object') return asItIs;
  const fields = Object.entries((shape as SchemaObjectDescription).fields).map(
    ([name, field]) => [name, stripFor(field)] as const,
  );
  // An object that declares nothing is a record of whatever names it has.
  if (fields.length === 0) return asItIs;
  return (value) => {
    if (typeof value !== 'object' || value === null) return value;
    const told: Record<string, unknown> = {};
    for (const [name, strip] of fields) {
      const given = (value as Record<string, unknown>)[name];
      if (given !== undefined) told[name] = strip(given);
    }
    return told;
  };
}

/**
 * What takes from an answer everything that its shape does not declare: a column that was selected by mistake does not leave the
 * house. Made once from the shape, so that it costs a walk over the answer and no checking.
 */
export const declaredOf = (shape: Schema): Strip => stripFor(shape.describe());
