/** The same sound, silent where a sample is no number: one of those would make every sum after it none. */
export const finite = (samples: Float32Array): Float32Array =>
  samples.every(Number.isFinite) ? samples : samples.map((sample) => (Number.isFinite(sample) ? sample : 0));
