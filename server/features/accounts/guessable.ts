import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { Refusal } from '../../http/refusal.ts';

/** What is guessed within 10⁸ tries is no password (`zxcvbn` calls that a score below 3 of 4). */
const leastScore = 3;
/** Further than this nobody looks: a beginning that is not guessed is enough, and looking takes longer than in proportion. */
const lettersLookedAt = 64;

/** The words by which somebody is known, the longest first. */
const wordsOf = (about: readonly string[]): string[] =>
  about
    .flatMap((words) => words.toLowerCase().split(/[^\p{L}\d]+/u))
    .filter((word) => word.length > 2)
    .sort((one, other) => other.length - one.length);

let passwords: ZxcvbnFactory | undefined;

/**
 * Asks of a new password that it is none of those that are tried first: known ones, rows of keys, repetitions, or made of who
 * somebody is.
 * @throws Refusal at its field
 */
export function requireUnguessable(password: string, about: readonly string[]): void {
  passwords ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });
  const looked = password.slice(0, lettersLookedAt);
  const withoutOwn = wordsOf(about).reduce((left, word) => left.replaceAll(word, ''), looked.toLowerCase());
  const ofItself = withoutOwn.length === looked.length ? looked : withoutOwn;
  if (passwords.check(ofItself).score >= leastScore) return;
  const message = 'This is among those that are tried first. Take a few words that do not belong together.';
  throw new Refusal(422, message, [{ field: 'password', message }]);
}
