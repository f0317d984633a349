import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { toldAnew } from './truth-command.ts';
import type { Truth } from './truth/truth.ts';

const truthOf = (film: string): Truth =>
  JSON.parse(gunzipSync(readFileSync(join(import.meta.dirname, 'trials', `${film}.truth.json.gz`))).toString()) as Truth;

describe('what is true of films that are there', () => {
  it('is what would be told of them today', () => {
    for (const film of ['esra-amiss-front', 'stig-held-lead-side']) {
      const truth = truthOf(film);
      expect(toldAnew(truth), film).to.deep.equal(truth);
    }
  });

  it('gains what is measured since, and keeps the rest', () => {
    const truth = truthOf('stig-held-lead-side');
    const before: Truth = {
      ...truth,
      strikes: truth.strikes.map(({ measures: { 'home-miss': _, ...measures } = {}, ...strike }) => ({ ...strike, measures })),
    };
    expect(toldAnew(before)!.strikes.map(({ measures }) => measures)).to.deep.equal(
      truth.strikes.map(({ measures }) => measures),
    );
  });

  it('is left as it is where somebody moved otherwise', () => {
    const truth = truthOf('stig-held-lead-side');
    const pixels = truth.pixels.map((row, frame) => (frame === 40 ? row.map((place) => place + 1) : row));
    expect(toldAnew({ ...truth, pixels })).to.equal(undefined);
  });
});
