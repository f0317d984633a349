import { onScopeDispose, ref, shallowRef } from 'vue';

const refusals: Record<string, string> = {
  NotAllowedError: 'The browser may not use the camera. Allow camera and microphone for this page, then try again.',
  NotFoundError: 'No camera was found. Plug one in, then try again.',
  NotReadableError: 'Another program has the camera. Close it, then try again.',
  OverconstrainedError: 'This camera cannot be used any more. Choose another one.',
};

const remembered = 'wax.camera';

/** A camera with its microphone, as loud as it is: what the browser does for calls would take the hits for noise. */
export function useCamera() {
  const stream = shallowRef<MediaStream>();
  const cameras = shallowRef<MediaDeviceInfo[]>([]);
  const chosen = ref(localStorage.getItem(remembered) ?? '');
  const failure = ref<string>();

  function close(): void {
    for (const track of stream.value?.getTracks() ?? []) track.stop();
    stream.value = undefined;
  }

  async function open(): Promise<void> {
    close();
    failure.value = undefined;
    if (!('mediaDevices' in navigator)) {
      failure.value = 'Cameras work only on a page that is served over https, or from this computer itself.';
      return;
    }
    const wanted = (deviceId: string): MediaStreamConstraints => ({
      video: {
        width: { ideal: 1920 },
        height: { ideal: 1080 },
        frameRate: { ideal: 60 },
        ...(deviceId && { deviceId: { exact: deviceId } }),
      },
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    });
    try {
      // The camera of last time may not be plugged in.
      const opened = await navigator.mediaDevices
        .getUserMedia(wanted(chosen.value))
        .catch((error: unknown) =>
          (error as Error).name === 'OverconstrainedError'
            ? navigator.mediaDevices.getUserMedia(wanted(''))
            : Promise.reject(error as Error),
        );
      stream.value = opened;
      for (const track of opened.getTracks())
        track.addEventListener('ended', () => (failure.value = 'The camera was unplugged. Plug it in, then try again.'));
      cameras.value = (await navigator.mediaDevices.enumerateDevices()).filter(({ kind }) => kind === 'videoinput');
    } catch (error) {
      const { name, message } = error as Error;
      failure.value = refusals[name] ?? `The camera cannot be used: ${message}`;
    }
  }

  onScopeDispose(close);
  void open();
  return {
    stream,
    cameras,
    chosen,
    failure,
    open,
    choose: async (deviceId: string): Promise<void> => {
      chosen.value = deviceId;
      localStorage.setItem(remembered, deviceId);
      await open();
    },
  };
}
