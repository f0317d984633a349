import { ref, type Ref } from 'vue';

/** The faces that a canvas writes in: it does not write anew when they arrive. */
const faces = ['500 14px "Saira Semi Condensed"', '600 14px "Saira Semi Condensed"'];
const ready = ref(false);
let asked: Promise<void> | undefined;

/** Whether charts can be drawn in their own face; without the faces they are drawn all the same. */
export function useFontsReady(): Ref<boolean> {
  asked ??= Promise.all(faces.map((face) => document.fonts.load(face)))
    .catch(() => undefined)
    .then(() => void (ready.value = true));
  return ready;
}
