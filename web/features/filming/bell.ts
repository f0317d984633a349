/** A bell as a gym has one: a struck fundamental with the uneven overtones of metal. Hertz, share of loudness, seconds to fade. */
const partials = [
  [1240, 0.5, 1.4],
  [2076, 0.3, 1.0],
  [3320, 0.2, 0.6],
  [4810, 0.1, 0.35],
] as const;
const between = 0.32;

let context: AudioContext | undefined;

/** Two blocks of wood struck together: what warns, and cannot be taken for the bell. */
const wood = [
  [820, 0.6, 0.07],
  [1710, 0.4, 0.05],
] as const;
type Tone = readonly [hertz: number, loudness: number, fade: number];

function strike(sound: readonly Tone[], times: number, apart: number): void {
  try {
    context ??= new AudioContext();
    for (let stroke = 0; stroke < times; stroke++) {
      const at = context.currentTime + stroke * apart;
      for (const [hertz, loudness, fade] of sound) {
        const tone = new OscillatorNode(context, { frequency: hertz });
        const level = new GainNode(context, { gain: 0 });
        level.gain.setValueAtTime(loudness, at);
        level.gain.exponentialRampToValueAtTime(0.0005, at + fade);
        tone.connect(level).connect(context.destination);
        tone.start(at);
        tone.stop(at + fade);
      }
    }
  } catch {
    // A timer without a bell is still a timer.
  }
}

/** Rings so many times. Does nothing where the browser makes no sound. */
export const ring = (times: number): void => strike(partials, times, between);
/** Claps wood so many times. */
export const clap = (times: number): void => strike(wood, times, 0.14);
