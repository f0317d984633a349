import { messageOf } from '@wax-fist/core/message-of';
import { clampFrame } from '@wax-fist/core/film';
import type { FrameIndex } from '@wax-fist/core/units';
import { onScopeDispose, ref, shallowRef, type Ref, type ShallowRef } from 'vue';
import type { Direction, PlayableFilm, FrameSource, Picture } from './frame-source.ts';
import { openFrames } from './open-frames.ts';
import { playbackOf, speeds, type Playback, type Speed } from './playback.ts';
import { playerWords as words } from './words.ts';

export interface Player {
  film: PlayableFilm;
  source: FrameSource;
  /** Where the playhead is; the picture follows as soon as it is decoded. */
  at: Ref<FrameIndex>;
  playing: Ref<boolean>;
  speed: Ref<Speed>;
  looping: Ref<boolean>;
  failure: Ref<string | undefined>;
  /** The video element to be put on the page for playing. */
  video: ShallowRef<HTMLVideoElement | undefined>;
  go: (index: number) => void;
  step: (frames: number) => void;
  /** Frames that will probably be asked for next: they lie ready then, where they can. */
  expect: (frames: readonly FrameIndex[]) => void;
  toggle: () => void;
  faster: (steps: 1 | -1) => void;
  /** Plays a range round and round until stopped. */
  loop: (range: readonly [FrameIndex, FrameIndex] | undefined) => void;
}

/** A player for one film. `paint` draws a picture at once; it is called for every frame that is shown by stepping. @param begin the frame that is shown first */
export function usePlayer(film: PlayableFilm, paint: (picture: Picture) => void, begin: FrameIndex = 0): Player {
  const source = openFrames(film);
  const at = ref<FrameIndex>(0);
  const playing = ref(false);
  const looping = ref(false);
  const speed = ref<Speed>(1);
  const failure = ref<string>();
  const video = shallowRef<HTMLVideoElement>();
  let playback: Playback | undefined;

  const show = async (index: FrameIndex, direction: Direction): Promise<void> => {
    at.value = index;
    try {
      const picture = await source.frame(index, direction);
      if (picture?.index === at.value) paint(picture);
      failure.value = undefined;
    } catch (error) {
      failure.value = words.thePictureCouldNotBe(messageOf(error));
    }
  };

  const stop = (): void => {
    if (!playing.value || !playback) return;
    const frame = playback.pause();
    void show(frame, 1).then(() => (playing.value = false));
  };

  /** Made at first need: the video element is on the page only after the player was made. */
  const ready = (): Playback | undefined => {
    if (video.value) playback ??= playbackOf(film, video.value, (frame) => playing.value && (at.value = frame), stop);
    return playback;
  };

  const play = async (): Promise<void> => {
    const from = at.value >= film.timeline.length - 1 ? 0 : at.value;
    await ready()
      ?.play(from, speed.value)
      .then(
        () => (playing.value = true),
        () => (failure.value = words.theBrowserDidNotLet),
      );
  };

  const go = (index: number): void => {
    const wanted = clampFrame(film.timeline, index);
    if (playing.value) {
      playback?.pause();
      playing.value = false;
    }
    looping.value = false;
    playback?.loop(undefined);
    void show(wanted, wanted < at.value ? -1 : 1);
  };

  onScopeDispose(() => {
    playback?.close();
    source.close();
  });
  void show(begin, 1);

  return {
    film,
    source,
    at,
    playing,
    speed,
    looping,
    failure,
    video,
    go,
    step: (frames) => go(at.value + frames),
    expect: source.expect,
    toggle: () => (playing.value ? stop() : void play()),
    faster(steps) {
      const place = speeds.indexOf(speed.value) - steps;
      speed.value = speeds[Math.max(0, Math.min(speeds.length - 1, place))]!;
      playback?.setSpeed(speed.value);
    },
    loop(range) {
      looping.value = range !== undefined;
      if (!range) {
        playback?.loop(undefined);
        return stop();
      }
      ready()?.loop(range);
      void play();
    },
  };
}
