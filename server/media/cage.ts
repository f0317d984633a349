import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

/** What a program may take at most, in bytes. */
export interface Limits {
  memory: number;
  written: number;
}

const [unshare, setpriv, prlimit] = ['/usr/bin/unshare', '/usr/bin/setpriv', '/usr/bin/prlimit'] as const;
const apart = [unshare, '--user', '--map-current-user', '--net'];
let mayBeApart: boolean | undefined;

/** Whether this machine lets a program have a network of its own, without anything in it; asked once. */
const apartHere = (): boolean =>
  (mayBeApart ??= existsSync(unshare) && spawnSync(apart[0]!, [...apart.slice(1), '/bin/true']).status === 0);

/**
 * The words that run a program on what strangers have sent: without a network, without any right of its user beyond files, without a
 * way to gain one, within limits, and ended when whoever started it is gone. It does without what this machine does not have;
 * `protected` says what that is.
 */
export function caged(program: string, words: readonly string[], { memory, written }: Limits): [string, ...string[]] {
  const all = [
    ...(apartHere() ? apart : []),
    // Only within: what is set apart forgets who is to be ended with whom.
    ...(existsSync(setpriv) ? [setpriv, '--pdeathsig', 'KILL', '--no-new-privs', ...(apartHere() ? withoutRights : [])] : []),
    ...(existsSync(prlimit) ? [prlimit, `--as=${memory}`, `--fsize=${written}`] : []),
  ];
  return [...all, program, ...words] as [string, ...string[]];
}
const withoutRights = ['--inh-caps=-all', '--bounding-set=-all'];

/** What keeps programs in on this machine, in words, for whoever runs it. */
export const protectedBy = (): string[] => [
  ...(apartHere() ? ['no network', 'no rights'] : []),
  ...(existsSync(setpriv) ? ['no new rights', 'ended with the worker'] : []),
  ...(existsSync(prlimit) ? ['limits of memory and disk'] : []),
];
