/** Mono sound, −1 to 1. */
export interface Sound {
  samples: Float32Array;
  sampleRate: number;
}

/**
 * Reads a mono 16-bit WAV file.
 * @throws RangeError when it is something else
 */
export function soundOfWave(bytes: Uint8Array): Sound {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const name = (at: number): string => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (bytes.length < 12 || name(0) !== 'RIFF' || name(8) !== 'WAVE') throw new RangeError('This is not a WAV file.');
  let sampleRate = 0;
  for (let at = 12; at + 8 <= bytes.length;) {
    const size = view.getUint32(at + 4, true);
    const content = at + 8;
    if (name(at) === 'fmt ') {
      const [format, channels, bits] = [
        view.getUint16(content, true),
        view.getUint16(content + 2, true),
        view.getUint16(content + 14, true),
      ];
      if (format !== 1 || channels !== 1 || bits !== 16) throw new RangeError('Only mono sound of 16 bits can be read.');
      sampleRate = view.getUint32(content + 4, true);
    }
    if (name(at) === 'data') {
      if (sampleRate === 0) break;
      // A program that writes into a pipe does not know the length and says the largest.
      const count = Math.floor(Math.min(size, bytes.length - content) / 2);
      const samples = new Float32Array(count);
      for (let index = 0; index < count; index++) samples[index] = view.getInt16(content + 2 * index, true) / 32_768;
      return { samples, sampleRate };
    }
    at = content + size + (size % 2);
  }
  throw new RangeError('This WAV file has no sound in it.');
}
