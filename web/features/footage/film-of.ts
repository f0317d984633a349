import { filledPath } from '@wax-fist/contract/endpoint';
import { footageEndpoints, type Clip } from '@wax-fist/contract/footage';
import { unpackTimeline } from '@wax-fist/core/moments';
import { askBytes } from '../../app/ask.ts';
import type { Film } from '../../player/frame-source.ts';

/** The film of a clip, as the player wants it. @throws Refused, Unreachable */
export async function filmOf(clip: Clip): Promise<Film> {
  return {
    url: filledPath(footageEndpoints.clipFilm.path, { clipId: clip.id }),
    timeline: unpackTimeline(await askBytes(footageEndpoints.clipTimeline, { clipId: clip.id })),
    firstFrameAt: clip.firstFrameAt ?? 0,
  };
}
