import { expect } from 'chai';
import fc from 'fast-check';
import { randomBytes } from 'node:crypto';
import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { keyFrom, nameFor, NotOpened, opening, sealedBytes, sealing, type Key } from './seal.ts';

/** As little work as a test needs. */
const words = { salt: Buffer.alloc(16, 7).toString('base64'), memoryKiB: 1024, rounds: 2 };
const through = (bytes: Buffer, chunk: number, transform: ReturnType<typeof sealing>): Promise<Buffer> => {
  const chunks = Array.from({ length: Math.ceil(bytes.length / chunk) }, (_, place) =>
    bytes.subarray(place * chunk, (place + 1) * chunk),
  );
  return buffer(Readable.from(chunks).pipe(transform));
};
const refused = (promise: Promise<unknown>): Promise<unknown> => promise.catch((error: unknown) => error);

describe('what is sealed', () => {
  let key: Key;
  before(async () => (key = await keyFrom('chalk and tape', words)));

  it('comes back as it went, whatever its length and however it comes, and is as long as is said', async () => {
    const piece = 64 * 1024;
    const length = fc.oneof(fc.constantFrom(0, 1, piece - 1, piece, piece + 1, 2 * piece, 3 * piece + 5), fc.nat(200_000));
    await fc.assert(
      fc.asyncProperty(
        length,
        fc.integer({ min: 1000, max: 150_000 }),
        fc.integer({ min: 7, max: 90_000 }),
        async (bytes, by, back) => {
          const plain = randomBytes(bytes);
          const sealed = await through(plain, by, sealing(key));
          expect(sealed.length).to.equal(sealedBytes(bytes));
          expect((await through(sealed, back, opening(key))).equals(plain)).to.equal(true);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is not opened when a byte is another one, or when something is missing, added or moved', async () => {
    const plain = randomBytes(200_000);
    const sealed = await through(plain, 50_000, sealing(key));
    const [first, second] = [sealed.subarray(24, 24 + 65_553), sealed.subarray(24 + 65_553, 24 + 2 * 65_553)];
    const rest = sealed.subarray(24 + 2 * 65_553);
    const flipped = Buffer.from(sealed);
    flipped[70_000]! ^= 1;
    const wrongs = [
      ...[flipped, sealed.subarray(0, -1), sealed.subarray(0, 24 + 65_553), sealed.subarray(0, 10), Buffer.alloc(0)],
      ...[Buffer.concat([sealed, Buffer.from([1])]), Buffer.concat([sealed.subarray(0, 24), second, first, rest])],
    ];
    for (const wrong of wrongs) expect(await refused(through(wrong, 10_000, opening(key)))).to.be.instanceOf(NotOpened);
  });

  it('is opened by its passphrase alone, and its name tells nothing without it', async () => {
    const other = await keyFrom('chalk and tapes', words);
    const sealed = await through(Buffer.from('a film'), 10, sealing(key));
    expect(await refused(through(sealed, 10, opening(other)))).to.be.instanceOf(NotOpened);
    expect(nameFor(key, 'a film')).to.equal(nameFor(key, 'a film'));
    expect(nameFor(key, 'a film')).to.not.equal(nameFor(other, 'a film'));
  });
});
