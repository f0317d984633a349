import { marksEndings } from '@wax-fist/contract/marks-elsewhere';
import { defineStore } from 'pinia';
import { ref } from 'vue';

/** A file of marks that was chosen together with films, for the film of its name. */
interface BesideFilm {
  sessionId: string;
  name: string;
  file: File;
}

/** A file's name without its ending, as a film and what stands beside it share it. */
const stem = (name: string): string => name.replace(/\.[^.]*$/, '').toLowerCase();
export const isMarksFile = (name: string): boolean => marksEndings.some((ending) => name.toLowerCase().endsWith(ending));

/**
 * Files of marks that wait for the film of their name to be worked in. They lie where they were chosen; a page that is loaded anew has
 * let go of them, and they are chosen again.
 */
export const useMarksBeside = defineStore('marks-beside', () => {
  const waiting = ref<BesideFilm[]>([]);
  const isFor = (sessionId: string, fileName: string) => (one: BesideFilm) =>
    one.sessionId === sessionId && stem(one.name) === stem(fileName);

  return {
    waiting,
    /** Keeps a file; one of the same name that was chosen before is let go of. */
    keep(sessionId: string, file: File): void {
      waiting.value = [
        ...waiting.value.filter((one) => one.sessionId !== sessionId || one.name !== file.name),
        { sessionId, name: file.name, file },
      ];
    },
    beside: (sessionId: string, fileName: string): File | undefined => waiting.value.find(isFor(sessionId, fileName))?.file,
    forget(sessionId: string, name: string): void {
      waiting.value = waiting.value.filter((one) => one.sessionId !== sessionId || one.name !== name);
    },
  };
});
