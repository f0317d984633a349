import type { Ms } from '@wax-fist/core/units';
import { reading, runMedia } from './program.ts';

/** Of what is cut so much more is kept on either side, as far as the film goes. */
export const around: Ms = 2000;

/**
 * Copies a part of a film, picture and sound as they are, into a file of its own. It begins at the last whole picture before `from`,
 * so that nothing is pressed a second time.
 * @throws MediaFailure, Stopped
 */
export const cutPart = (path: string, to: string, span: { from: Ms; to: Ms }, signal?: AbortSignal): Promise<string> =>
  runMedia(
    'ffmpeg',
    [
      ...['-y', '-ss', String(Math.max(0, span.from - around) / 1000), '-to', String((span.to + around) / 1000)],
      ...[...reading(path), '-map', '0:V:0', '-map', '0:a:0?', '-c', 'copy', '-avoid_negative_ts', 'make_zero'],
      ...['-f', 'matroska', to],
    ],
    { signal },
  );
