import argon2 from 'argon2';
import sodium from 'libsodium-wrappers';
import { randomBytes } from 'node:crypto';
import { Transform, type TransformCallback } from 'node:stream';

/** What is sealed is cut into pieces of so many bytes; each is sealed by itself, and none can be changed, moved or left out. */
const pieceBytes = 64 * 1024;
const headerBytes = 24;
const tagBytes = 17;

/** How a passphrase becomes a key: Argon2id with 64 MiB and three rounds (RFC 9106, second choice). */
export interface KeyWords {
  /** Base64. */
  salt: string;
  memoryKiB: number;
  rounds: number;
}
export const newKeyWords = (): KeyWords => ({ salt: randomBytes(16).toString('base64'), memoryKiB: 64 * 1024, rounds: 3 });

/** What opens and closes a backup. */
export interface Key {
  sealing: Uint8Array;
  naming: Uint8Array;
}

/** @returns a key for sealing, and another one for names, so that a name tells nothing of what is named */
export async function keyFrom(passphrase: string, { salt, memoryKiB, rounds }: KeyWords): Promise<Key> {
  await sodium.ready;
  const raw = await argon2.hash(passphrase, {
    ...{ type: argon2.argon2id, salt: Buffer.from(salt, 'base64'), memoryCost: memoryKiB, timeCost: rounds },
    ...{ parallelism: 1, hashLength: 64, raw: true },
  });
  return { sealing: new Uint8Array(raw.subarray(0, 32)), naming: new Uint8Array(raw.subarray(32)) };
}

/** A name for something that tells nothing of it to whoever lacks the key, and is the same each time. */
export const nameFor = ({ naming }: Key, what: string): string => sodium.crypto_generichash(24, what, naming, 'hex');

/** How many bytes so many bytes are, once they are sealed. */
export const sealedBytes = (bytes: number): number => headerBytes + bytes + tagBytes * Math.max(1, Math.ceil(bytes / pieceBytes));

/** Cuts what comes into pieces of one size; the last one is told to be the last. */
abstract class InPieces extends Transform {
  #held: Buffer[] = [];
  #bytes = 0;
  protected abstract readonly size: number;
  protected abstract piece(bytes: Buffer, last: boolean): Uint8Array;

  override _transform(chunk: Buffer, _encoding: BufferEncoding, done: TransformCallback): void {
    try {
      this.#held.push(chunk);
      this.#bytes += chunk.length;
      // One piece always waits: it may be the last.
      while (this.#bytes > this.size) this.push(this.piece(this.#take(this.size), false));
      done();
    } catch (error) {
      done(error as Error);
    }
  }
  override _flush(done: TransformCallback): void {
    try {
      this.push(this.piece(this.#take(this.#bytes), true));
      done();
    } catch (error) {
      done(error as Error);
    }
  }
  #take(count: number): Buffer {
    const all = this.#held.length === 1 ? this.#held[0]! : Buffer.concat(this.#held);
    const rest = all.subarray(count);
    this.#held = rest.length > 0 ? [rest] : [];
    this.#bytes = rest.length;
    return all.subarray(0, count);
  }
}

class Sealing extends InPieces {
  protected readonly size = pieceBytes;
  readonly #state;
  constructor(key: Key) {
    super();
    const { state, header } = sodium.crypto_secretstream_xchacha20poly1305_init_push(key.sealing);
    this.#state = state;
    this.push(header);
  }
  protected piece(bytes: Buffer, last: boolean): Uint8Array {
    const tag = last
      ? sodium.crypto_secretstream_xchacha20poly1305_TAG_FINAL
      : sodium.crypto_secretstream_xchacha20poly1305_TAG_MESSAGE;
    return sodium.crypto_secretstream_xchacha20poly1305_push(this.#state, bytes, null, tag);
  }
}

/** Something that was sealed and cannot be opened: another passphrase, a changed byte, or a part that is missing. */
export class NotOpened extends Error {
  constructor() {
    super('It cannot be opened: the passphrase is another one, or it was damaged.');
  }
}

class Opening extends InPieces {
  protected readonly size = pieceBytes + tagBytes;
  #state: ReturnType<typeof sodium.crypto_secretstream_xchacha20poly1305_init_pull> | undefined;
  #header = Buffer.alloc(0);
  constructor(readonly key: Key) {
    super();
  }
  override _transform(chunk: Buffer, encoding: BufferEncoding, done: TransformCallback): void {
    if (this.#state) return super._transform(chunk, encoding, done);
    this.#header = Buffer.concat([this.#header, chunk]);
    if (this.#header.length < headerBytes) return done();
    const header = new Uint8Array(this.#header.subarray(0, headerBytes));
    this.#state = sodium.crypto_secretstream_xchacha20poly1305_init_pull(header, this.key.sealing);
    super._transform(this.#header.subarray(headerBytes), encoding, done);
  }
  protected piece(bytes: Buffer, last: boolean): Uint8Array {
    if (!this.#state) throw new NotOpened();
    const opened = sodium.crypto_secretstream_xchacha20poly1305_pull(this.#state, bytes, null);
    if (!opened || (opened.tag === sodium.crypto_secretstream_xchacha20poly1305_TAG_FINAL) !== last) throw new NotOpened();
    return opened.message;
  }
}

/** Seals what goes through: XChaCha20-Poly1305 in libsodium’s secretstream, which keeps order and length as well. */
export const sealing = (key: Key): Transform => new Sealing(key);
/** Opens what `sealing` made; ends with `NotOpened` for anything else. */
export const opening = (key: Key): Transform => new Opening(key);
