import type { Seconds } from '@wax-fist/core/units';
import { roundTime } from '../clock.ts';
import type { SceneCamera } from '../scene.ts';
import { sampleRate } from './voices.ts';

/** What a camera hears of a round: from when it was started, by its own clock. Samples of `seconds` of that clock. */
export function heardBy(camera: SceneCamera, round: Float32Array, seconds: Seconds): Float32Array {
  if (!camera.starts && !camera.drift) return round;
  return Float32Array.from({ length: Math.ceil(seconds * sampleRate) }, (_, index) => {
    const place = roundTime(camera, index / sampleRate) * sampleRate;
    const whole = Math.floor(place);
    const share = place - whole;
    return (round[whole] ?? 0) * (1 - share) + (round[whole + 1] ?? 0) * share;
  });
}
