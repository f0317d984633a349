import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

/** Bytes read at once. */
const piece = 8 * 1024 ** 2;

/** Takes a file, tells its SHA-256 in hexadecimal, and on the way how much of it has been read (0 to 1). */
self.onmessage = async ({ data: file }: MessageEvent<File>) => {
  const hash = sha256.create();
  for (let from = 0; from < file.size; from += piece) {
    hash.update(new Uint8Array(await file.slice(from, from + piece).arrayBuffer()));
    self.postMessage({ read: Math.min(1, (from + piece) / file.size) });
  }
  self.postMessage({ hash: bytesToHex(hash.digest()) });
};
