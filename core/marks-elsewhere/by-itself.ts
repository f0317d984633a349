import { saidInAnnotations } from './annotations.ts';
import type { ReadElsewhere } from './said-elsewhere.ts';
import { saidInTimedText } from './timed-text.ts';

/** What a file says that needs no mapping, by the ending of its name; undefined for one that is a table. */
export function saidByItself(fileName: string, text: string): ReadElsewhere | undefined {
  if (/\.(vtt|srt)$/i.test(fileName)) return saidInTimedText(text);
  return /\.(json|jsonld)$/i.test(fileName) ? saidInAnnotations(text) : undefined;
}
