/** One recording of a sound font, mono, −1 to 1. */
export interface FontSample {
  name: string;
  sampleRate: number;
  samples: Float32Array;
}

const recordLength = 46;

/**
 * The recordings of a SoundFont 2 file (RIFF; the chunks `smpl`, 16-bit samples, and `shdr`, one record of 46 bytes each).
 * @param wanted whether a recording of this name is asked for
 */
export function fontSamples(bytes: Buffer, wanted: (name: string) => boolean): FontSample[] {
  const sound = bytes.indexOf('smpl');
  const list = bytes.indexOf('shdr');
  if (sound < 0 || list < 0) return [];
  const count = bytes.readUInt32LE(list + 4) / recordLength - 1;
  return Array.from({ length: count }, (_, place) => {
    const at = list + 8 + recordLength * place;
    const name = bytes
      .toString('latin1', at, at + 20)
      .split('\0')[0]!
      .trim();
    const [start, end, sampleRate] = [bytes.readUInt32LE(at + 20), bytes.readUInt32LE(at + 24), bytes.readUInt32LE(at + 36)];
    return { name, start, end, sampleRate };
  })
    .filter(({ name, start, end }) => end > start && wanted(name))
    .map(({ name, start, end, sampleRate }) => ({
      name,
      sampleRate,
      samples: Float32Array.from(
        { length: end - start },
        (_, index) => bytes.readInt16LE(sound + 8 + 2 * (start + index)) / 32_768,
      ),
    }));
}

const [patchHead, sampleHead] = [129 + 63 + 47, 96];

/** The first recording of a GF1 patch file (Gravis UltraSound; heads of fixed length, then 16-bit samples). */
export function patchSample(name: string, bytes: Buffer): FontSample {
  const length = bytes.readUInt32LE(patchHead + 8) / 2;
  const [sampleRate, signs] = [bytes.readUInt16LE(patchHead + 20), bytes[patchHead + 55]! & 2 ? 32_768 : 0];
  const from = patchHead + sampleHead;
  const samples = Float32Array.from(
    { length: Math.min(length, Math.floor((bytes.length - from) / 2)) },
    (_, index) => (signs ? bytes.readUInt16LE(from + 2 * index) - signs : bytes.readInt16LE(from + 2 * index)) / 32_768,
  );
  return { name, sampleRate, samples };
}
