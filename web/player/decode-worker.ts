import { messageOf } from '@wax-fist/core/message-of';
import { ALL_FORMATS, Input, UrlSource, VideoSampleSink, type VideoSample } from 'mediabunny';
import { frameAt } from '@wax-fist/core/film';
import type { FrameIndex } from '@wax-fist/core/units';
import type { FromDecoder, ToDecoder, WantedStill } from './decode-messages.ts';
import { askTime, WrongFrame, type PlayableFilm } from './frame-source.ts';
import type { FrameRun } from './window-plan.ts';
import { playerWords as words } from './words.ts';

/** Room for rounding when a frame is asked for by its time, in milliseconds. */
const grace = 0.5;
/** A picture whose time is further off than this is not the one it should be. */
const tolerance = 0.75;

const tell = (message: FromDecoder, transfer: Transferable[] = []): void => postMessage(message, { transfer });

let film: PlayableFilm;
let sink: Promise<VideoSampleSink>;
/** Work that waits: what is left of the newest fetch, and stills. */
let runs: FrameRun[] = [];
let stills: WantedStill[] = [];
let busy = false;

async function openSink({ url }: PlayableFilm): Promise<VideoSampleSink> {
  const input = new Input({ source: new UrlSource(url), formats: ALL_FORMATS });
  const track = await input.getPrimaryVideoTrack();
  if (!track) throw new Error(words.thisFilmHasNoPicture);
  return new VideoSampleSink(track, { hardwareAcceleration: 'prefer-software' });
}

/** The number of a decoded picture, by its time. */
function indexOf(sample: VideoSample): FrameIndex {
  const time = sample.timestamp * 1000 - film.firstFrameAt;
  const index = frameAt(film.timeline, time + grace);
  if (Math.abs(film.timeline[index]! - time) > tolerance) throw new WrongFrame(words.noFrameIsShownAt(time));
  return index;
}

const secondsOf = (index: FrameIndex): number => askTime(film, index, grace) / 1000;

async function oneSample(index: FrameIndex): Promise<VideoSample> {
  const sample = await (await sink).getSample(secondsOf(index));
  if (!sample) throw new WrongFrame(words.frameCannotBeFound(index));
  if (indexOf(sample) === index) return sample;
  sample.close();
  throw new WrongFrame(words.anotherFrameCameInsteadOf(index));
}

function handOver(sample: VideoSample, index: FrameIndex): void {
  const frame = sample.toVideoFrame();
  sample.close();
  tell({ kind: 'frame', index, frame }, [frame]);
}

/** Decodes a run and hands it over; stops when a newer fetch has come in. */
async function fetchRun([from, to]: FrameRun): Promise<void> {
  const mine = runs;
  const end = to + 1 < film.timeline.length ? secondsOf(to + 1) : Infinity;
  for await (const sample of (await sink).samples(secondsOf(from), end)) {
    const index = indexOf(sample);
    if (index < from || index > to) sample.close();
    else handOver(sample, index);
    if (mine !== runs) return;
  }
}

async function makeStill({ index, height, ticket }: WantedStill): Promise<void> {
  const sample = await oneSample(index);
  const frame = sample.toVideoFrame();
  sample.close();
  const still = await createImageBitmap(frame, {
    resizeHeight: height,
    resizeWidth: Math.round((height * frame.displayWidth) / frame.displayHeight),
    resizeQuality: 'medium',
  });
  frame.close();
  tell({ kind: 'still', ticket, still }, [still]);
}

const failed = (error: unknown): void => tell({ kind: 'failed', reason: messageOf(error) });

/** First the picture that somebody waits for, then the stills of the strike, then the window round the playhead. */
async function work(): Promise<void> {
  if (busy) return;
  busy = true;
  while (runs.length > 0 || stills.length > 0) {
    const [from, to] = runs[0] ?? [0, 1];
    const step = from === to ? oneSample(runs.shift()![0]).then((sample) => handOver(sample, from)) : nextStep();
    await step.catch(failed);
  }
  busy = false;
}
const nextStep = (): Promise<void> => {
  const still = stills.shift();
  return still ? makeStill(still) : fetchRun(runs.shift()!);
};

onmessage = ({ data }: MessageEvent<ToDecoder>) => {
  if (data.kind === 'open') {
    film = data.film;
    sink = openSink(film);
    sink.catch(failed);
  } else if (data.kind === 'fetch') runs = data.runs;
  else if (data.kind === 'still') stills.push(data);
  else stills = stills.filter(({ ticket }) => ticket !== data.ticket);
  void work();
};
