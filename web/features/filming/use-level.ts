import { onScopeDispose, ref, watch, type Ref } from 'vue';

const quietest = -60;
/** Milliseconds from one look to the next. */
const every = 100;
/** Samples that are looked at: more than come in between, or a short blow would fall through every time it is as regular as the looks. */
const samplesSeen = 8192;

/** How loud the microphone hears it, 0 to 1 over the upper 60 dB: proof that it hears at all. */
export function useLevel(stream: Readonly<Ref<MediaStream | undefined>>): Ref<number> {
  const level = ref(0);
  const context = new AudioContext();
  const analyser = new AnalyserNode(context, { fftSize: samplesSeen });
  const samples = new Float32Array(analyser.fftSize);
  let source: MediaStreamAudioSourceNode | undefined;
  watch(
    stream,
    (now) => {
      source?.disconnect();
      if (!now || now.getAudioTracks().length === 0) return;
      source = new MediaStreamAudioSourceNode(context, { mediaStream: now });
      source.connect(analyser);
    },
    { immediate: true },
  );
  const timer = setInterval(() => {
    void context.resume();
    analyser.getFloatTimeDomainData(samples);
    const peak = samples.reduce((highest, value) => Math.max(highest, Math.abs(value)), 0);
    level.value = Math.max(0, 1 - (20 * Math.log10(peak + 1e-6)) / quietest);
  }, every);
  onScopeDispose(() => {
    clearInterval(timer);
    void context.close();
  });
  return level;
}
