import { expect } from 'chai';
import { array, boolean, number, object, string, tuple, type ValidationError } from 'yup';
import './told-briefly.ts';

const deep: unknown = JSON.parse(`${'['.repeat(500)}${']'.repeat(500)}`);
function saidOf(sent: Record<string, unknown>): string[] {
  const shape = object({ name: string(), reps: number(), hits: array(), done: boolean(), ends: tuple([number(), number()]) });
  try {
    shape.validateSync(sent, { abortEarly: false });
  } catch (error) {
    return (error as ValidationError).errors.toSorted();
  }
  return [];
}

describe('what is said of a field of another kind', () => {
  it('names the field and what belongs there, and does not repeat what was sent', () => {
    const long = 'x'.repeat(10_000);
    expect(saidOf({ name: deep, reps: long, hits: long, done: deep, ends: deep })).to.deep.equal([
      'done is not yes or no.',
      'ends is not a list of so many.',
      'hits is not a list.',
      'name is not text.',
      'reps is not a number.',
    ]);
  });

  it('is said of the whole as well', () => {
    expect(() => object({}).validateSync(3)).to.throw('this is not a group of fields.');
  });
});
