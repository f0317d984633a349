import type { Ms, Px } from '@wax-fist/core/units';

/** What a review copy holds. */
export interface ReviewCopy {
  /** When each picture is shown by the copy's own clock, in order of showing. */
  times: Ms[];
  width: Px;
  height: Px;
  /** Whether there is any sound; a track of it may be empty. */
  isHeard: boolean;
}

const toldOnly = { metadataOnly: true };

/**
 * Reads the index of a review copy; nothing is decoded. The page that plays it reads it by the same library, so that both mean the same
 * by a time, and no program is started for it.
 * @throws Error when it is no film
 */
export async function readReviewCopy(path: string): Promise<ReviewCopy> {
  // Asked for where a copy is read: a server, which only knows of the steps of an import, begins a fifth of a second sooner.
  const { EncodedPacketSink, FilePathSource, Input, MP4 } = await import('mediabunny');
  const input = new Input({ source: new FilePathSource(path), formats: [MP4] });
  try {
    const picture = await input.getPrimaryVideoTrack();
    if (!picture) return { times: [], width: 0, height: 0, isHeard: false };
    const sound = await input.getPrimaryAudioTrack();
    const times: Ms[] = [];
    for await (const { timestamp } of new EncodedPacketSink(picture).packets(undefined, undefined, toldOnly))
      times.push(timestamp * 1000);
    return {
      times: times.sort((a, b) => a - b),
      width: await picture.getDisplayWidth(),
      height: await picture.getDisplayHeight(),
      isHeard: sound !== null && (await new EncodedPacketSink(sound).getFirstPacket(toldOnly)) !== null,
    };
  } finally {
    input.dispose();
  }
}
