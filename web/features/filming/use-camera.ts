import { onScopeDispose, ref, shallowRef } from 'vue';
import { filmingWords as words } from './words.ts';

const refusals: Record<string, string> = {
  NotAllowedError: words.theBrowserMayNotUse,
  NotFoundError: words.noCameraWasFoundPlug,
  NotReadableError: words.anotherProgramHasTheCamera,
  OverconstrainedError: words.thisCameraCannotBeUsed,
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
      failure.value = words.camerasWorkOnlyOnA;
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
        track.addEventListener('ended', () => (failure.value = words.theCameraWasUnpluggedPlug));
      cameras.value = (await navigator.mediaDevices.enumerateDevices()).filter(({ kind }) => kind === 'videoinput');
    } catch (error) {
      const { name, message } = error as Error;
      failure.value = refusals[name] ?? words.theCameraCannotBeUsed(message);
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
