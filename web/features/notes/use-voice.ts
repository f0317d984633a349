import { longestVoice, voiceTypes, type NoteDraft } from '@wax-fist/contract/notes';
import { useIntervalFn } from '@vueuse/core';
import { onScopeDispose, ref, shallowRef } from 'vue';
import { notesWords as words } from './words.ts';

type Voice = NonNullable<NoteDraft['voice']>;
/** Speech is clear at this, in bits a second: two minutes are a third of a megabyte. */
const speechRate = 20_000;

/** Bytes as base 64, a piece at a time: all of them at once are too many arguments. */
function base64Of(bytes: Uint8Array): string {
  const pieces: string[] = [];
  for (let at = 0; at < bytes.length; at += 0x8000) pieces.push(String.fromCharCode(...bytes.subarray(at, at + 0x8000)));
  return btoa(pieces.join(''));
}

/** Speaks a note: the microphone is open only while one speaks. */
export function useVoice() {
  const speaking = ref(false);
  /** How long one has spoken, in milliseconds. */
  const lasts = ref(0);
  const voice = shallowRef<Voice>();
  const failure = ref<string>();
  let recorder: MediaRecorder | undefined;
  let begun = 0;
  const clock = useIntervalFn(
    () => {
      lasts.value = Math.min(longestVoice, performance.now() - begun);
      if (lasts.value >= longestVoice) stop();
    },
    200,
    { immediate: false },
  );

  async function start(): Promise<void> {
    [failure.value, voice.value] = [undefined, undefined];
    const type = typeof MediaRecorder === 'undefined' ? undefined : voiceTypes.find((one) => MediaRecorder.isTypeSupported(one));
    if (!type) {
      failure.value = words.thisBrowserCannotRecordType;
      return;
    }
    const stream = await navigator.mediaDevices.getUserMedia({ audio: true }).catch(() => undefined);
    if (!stream) {
      failure.value = words.theMicrophoneIsNotThere;
      return;
    }
    const pieces: Blob[] = [];
    recorder = new MediaRecorder(stream, { mimeType: type, audioBitsPerSecond: speechRate });
    recorder.addEventListener('dataavailable', ({ data }) => data.size > 0 && pieces.push(data));
    recorder.addEventListener('stop', () => {
      for (const track of stream.getTracks()) track.stop();
      void new Blob(pieces).arrayBuffer().then((bytes) => {
        if (bytes.byteLength > 0) voice.value = { type, lasts: lasts.value, data: base64Of(new Uint8Array(bytes)) };
      });
    });
    recorder.start();
    begun = performance.now();
    lasts.value = 0;
    speaking.value = true;
    clock.resume();
  }
  function stop(): void {
    if (!speaking.value) return;
    clock.pause();
    lasts.value = Math.min(longestVoice, performance.now() - begun);
    speaking.value = false;
    recorder?.stop();
  }
  function forget(): void {
    stop();
    [voice.value, lasts.value] = [undefined, 0];
  }
  onScopeDispose(stop);
  return { speaking, lasts, voice, failure, start, stop, forget };
}
