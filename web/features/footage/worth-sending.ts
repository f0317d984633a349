import { largestUpload, videoEndings } from '@wax-fist/contract/footage';

/** Why a file is not worth sending; undefined when it is. What it really holds, the server finds out. */
export function notWorthSending({ name, size }: { name: string; size: number }): string | undefined {
  if (size === 0) return 'The file is empty (0 bytes). Copy it from the phone again.';
  if (size > largestUpload) return 'The file is larger than 8 GB. Cut it into rounds first.';
  const ending = /\.[^.]+$/.exec(name)?.[0].toLowerCase();
  if (!ending || !(videoEndings as readonly string[]).includes(ending)) {
    return `Not a film that can be read here: use ${videoEndings.join(', ')}.`;
  }
  return undefined;
}
