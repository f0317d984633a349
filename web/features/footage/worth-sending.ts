import { largestUpload, videoEndings } from '@wax-fist/contract/footage';
import { footageWords as words } from './words.ts';

/** Why a file is not worth sending; undefined when it is. What it really holds, the server finds out. */
export function notWorthSending({ name, size }: { name: string; size: number }): string | undefined {
  if (size === 0) return words.theFileIsEmpty;
  if (size > largestUpload) return words.theFileIsLargerThan;
  const ending = /\.[^.]+$/.exec(name)?.[0].toLowerCase();
  if (!ending || !(videoEndings as readonly string[]).includes(ending)) {
    return words.notAFilmThatCan(videoEndings.join(', '));
  }
  return undefined;
}
