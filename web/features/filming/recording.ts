import { filmingWords as words } from './words.ts';

/** What can be written, best for frame-exact review first: mp4 keeps frames in order and is cheap to read. */
const kinds = [
  { mime: 'video/mp4;codecs=avc1.640028,mp4a.40.2', ending: 'mp4' },
  { mime: 'video/webm;codecs=h264,opus', ending: 'webm' },
  { mime: 'video/webm;codecs=vp8,opus', ending: 'webm' },
  { mime: 'video/webm', ending: 'webm' },
] as const;

/** Bits a second: enough that a glove is sharp. */
const videoRate = 8_000_000;
/** What was filmed is handed over once a second, so that a crash of the recorder costs no more. */
const pieceLength = 1000;

export interface Recording {
  /** When the first piece of it is written: from then on there is a film. */
  begun: Promise<void>;
  /** Ends it and gives the film. @throws Error when nothing was written */
  stop: (name: string) => Promise<File>;
}

/** Begins to record what a camera shows. @throws Error when this browser cannot */
export function record(stream: MediaStream): Recording {
  const kind = kinds.find(({ mime }) => MediaRecorder.isTypeSupported(mime));
  if (!kind) throw new Error(words.thisBrowserCannotRecordFilms);
  const recorder = new MediaRecorder(stream, { mimeType: kind.mime, videoBitsPerSecond: videoRate });
  const pieces: Blob[] = [];
  recorder.addEventListener('dataavailable', ({ data }) => data.size > 0 && pieces.push(data));
  const ended = new Promise<void>((resolve) => recorder.addEventListener('stop', () => resolve(), { once: true }));
  const begun = new Promise<void>((resolve) =>
    recorder.addEventListener('dataavailable', ({ data }) => data.size > 0 && resolve()),
  );
  recorder.start(pieceLength);
  return {
    begun,
    async stop(name) {
      if (recorder.state !== 'inactive') recorder.stop();
      await ended;
      if (pieces.length === 0) throw new Error(words.theCameraGaveNoPicture);
      return new File(pieces, `${name}.${kind.ending}`, { type: kind.mime.split(';')[0] });
    },
  };
}
