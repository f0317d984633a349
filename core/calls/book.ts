import type { TechniqueId } from '../technique/index.ts';

/** Which number means which technique. Numbers mean lead and rear, so a southpaw's 1 is the right hand. */
export interface CallBook {
  name: string;
  /** Techniques by their number, 1 to 99. */
  calls: Readonly<Record<string, TechniqueId>>;
}

/** Call books that ship: what each number calls, by technique id. They cannot be changed, only copied. */
export const readyBooks = [
  {
    id: '0190c0de-0000-7000-8000-000000000011',
    name: 'Six-call',
    calls: { '1': 'jab', '2': 'cross', '3': 'lead-hook', '4': 'rear-hook', '5': 'lead-uppercut', '6': 'rear-uppercut' },
  },
  {
    id: '0190c0de-0000-7000-8000-000000000012',
    name: 'Eight-call',
    calls: {
      '1': 'jab',
      '2': 'cross',
      '3': 'lead-hook',
      '4': 'lead-uppercut',
      '5': 'rear-uppercut',
      '6': 'overhand',
      '7': 'lead-overhand',
      '8': 'rear-body-hook',
    },
  },
] as const satisfies readonly (CallBook & { id: string })[];

/** One to six, the usual straight and bent hands. */
export const sixCall: CallBook = readyBooks[0];
/** One to eight, with the overhands and a hook to the body on numbers of their own. */
export const eightCall: CallBook = readyBooks[1];

/** The version for the body of what usually goes to the head. */
export const toTheBody: Readonly<Record<TechniqueId, TechniqueId>> = {
  jab: 'body-jab',
  cross: 'body-straight',
  'lead-hook': 'lead-body-hook',
  'rear-hook': 'rear-body-hook',
};

/** The number of a technique in a book: its own, or that of its version for the head with a `b`. */
export function numberOf({ calls }: CallBook, technique: TechniqueId): string | undefined {
  const entries = Object.entries(calls);
  const own = entries.find(([, id]) => id === technique)?.[0];
  if (own) return own;
  const head = entries.find(([, id]) => toTheBody[id] === technique)?.[0];
  return head && `${head}b`;
}

/** What is wrong with a book, in words, by number; empty when nothing is. */
export function bookProblems({ calls }: CallBook, isTechnique: (id: string) => boolean): { place: string; says: string }[] {
  const entries = Object.entries(calls);
  if (entries.length === 0) return [{ place: 'calls', says: 'A call book needs at least one number.' }];
  return entries.flatMap(([number, technique]) => {
    const place = `calls.${number}`;
    if (!/^[1-9]\d?$/.test(number)) return [{ place, says: 'A call is a number from 1 to 99.' }];
    if (!isTechnique(technique)) return [{ place, says: `There is no technique “${technique}”.` }];
    const twice = entries.some(([other, id]) => other !== number && id === technique);
    return twice ? [{ place, says: 'Two numbers for one strike: nobody could say which is meant.' }] : [];
  });
}
