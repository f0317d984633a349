import { createHash } from 'node:crypto';
import { Transform } from 'node:stream';

/** How many bytes something is, and which. */
export interface Measured {
  bytes: number;
  sha256: string;
}

/** Counts and hashes what goes through; `told` once it is through. */
export function measuring(): { through: Transform; told: () => Measured } {
  const hash = createHash('sha256');
  let bytes = 0;
  const through = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk);
      bytes += chunk.length;
      done(null, chunk);
    },
  });
  return { through, told: () => ({ bytes, sha256: hash.digest('hex') }) };
}
