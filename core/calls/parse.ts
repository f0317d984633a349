import type { Catalogue, Stance, TechniqueId } from '../technique/index.ts';
import { toTheBody, type CallBook } from './book.ts';
import type { Call, Combination, CombinationItem } from './combination.ts';
import { nearestNames, plainWords, sidesAsLeads, vocabularyOf, writtenName } from './vocabulary.ts';

/** What cannot be read, where in the text, from 0, and what may have been meant. */
export interface CallError {
  /** Index of the character at which it went wrong, from 0. */
  at: number;
  length: number;
  says: string;
  /** Names that may have been meant. */
  nearest: readonly string[];
}
/** What was written, read; or everything in it that cannot be. */
export type Parsed = { ok: true; combination: Combination } | { ok: false; errors: readonly CallError[] };

/** By which book and catalogue a text is read, and for which lead hand its sides are told. */
export interface Reading {
  book: CallBook;
  catalogue: Catalogue;
  /** Makes left and right mean something; orthodox when not told. */
  stance?: Stance;
}

interface Token {
  kind: 'number' | 'word' | 'times' | '(' | ')' | '+' | ',';
  text: string;
  at: number;
}

const mostTimes = 50;
/** Nobody shouts brackets deeper than this. */
const mostNested = 12;
/** Written out no combination is longer; more than this nobody could throw or remember. */
const mostCalls = 500;
/** Words of the longest name. */
const mostWords = 10;

const patterns: readonly [Token['kind'] | 'space', RegExp][] = [
  ['space', /[\s\-–]+/y],
  [',', /[,;.]/y],
  ['times', /[x×]\s*\d+(?![a-z0-9])/iy],
  ['number', /f?\d+b?(?![0-9a-wyz])/iy],
  ['word', /[a-z][a-z0-9'’]*/iy],
  ['(', /\(/y],
  [')', /\)/y],
  ['+', /\+/y],
];

function tokensOf(text: string, errors: CallError[]): Token[] {
  const tokens: Token[] = [];
  for (let at = 0; at < text.length;) {
    const found = patterns.flatMap(([kind, pattern]) => {
      pattern.lastIndex = at;
      const met = pattern.exec(text);
      return met ? [{ kind, text: met[0], at }] : [];
    })[0];
    if (!found) {
      errors.push({ at, length: 1, says: `“${text[at]}” means nothing in a combination.`, nearest: [] });
      at++;
      continue;
    }
    if (found.kind !== 'space') tokens.push(found as Token);
    at += found.text.length;
  }
  return tokens;
}

/**
 * Reads a combination: numbers of the book and names, with `-`, a comma or a space between; a comma always ends a name. `b` after a
 * number means to the body, `f` before it (or the word feint) a feint, `x3` three times, brackets group, `+` at the same time.
 * Everything that is wrong is told at once, each with its place.
 */
export function parseCombination(text: string, { book, catalogue, stance = 'orthodox' }: Reading): Parsed {
  const errors: CallError[] = [];
  const tokens = tokensOf(text, errors);
  const vocabulary = vocabularyOf(catalogue);
  let next = 0;
  let nested = 0;
  const fail = (at: number, length: number, says: string, nearest: readonly string[] = []): undefined =>
    void errors.push({ at, length, says, nearest });

  function items(opened: Token | undefined): CombinationItem[] {
    const list: CombinationItem[] = [];
    for (;;) {
      const token = tokens[next];
      if (!token) {
        if (opened) fail(opened.at, 1, 'This bracket is never closed.');
        return list;
      }
      if (token.kind === ',') {
        next++;
        continue;
      }
      if (token.kind === ')') {
        next++;
        if (opened) return list;
        fail(token.at, 1, 'This bracket was never opened.');
        continue;
      }
      const item = oneItem(token);
      if (item) list.push(item);
    }
  }

  function oneItem(token: Token): CombinationItem | undefined {
    if (token.kind === '(') {
      next++;
      if (nested === mostNested) {
        next = tokens.length;
        return fail(token.at, 1, `Brackets within brackets: at most ${mostNested}.`);
      }
      nested++;
      const inside = items(token);
      nested--;
      if (inside.length === 0) return fail(token.at, 1, 'There is nothing in this bracket.');
      return repeated({ kind: 'repeat', times: 1, items: inside });
    }
    if (token.kind === 'times') {
      next++;
      return fail(token.at, token.text.length, 'There is nothing before this to be repeated.');
    }
    if (token.kind === '+') {
      next++;
      return fail(token.at, 1, 'A “+” stands between two things that go together.');
    }
    const call = oneCall();
    return call && repeated(call);
  }

  /** A call with what goes together with it. */
  function oneCall(): CombinationItem | undefined {
    const first = named();
    if (!first) return undefined;
    const together: TechniqueId[] = [];
    while (follows('+')) {
      const plus = tokens[next++]!;
      const told = errors.length;
      const other = tokens[next] && isNamed(tokens[next]!) ? named() : undefined;
      if (!other) {
        if (errors.length === told) fail(plus.at, 1, 'Something has to come after “+”.');
      } else if (first.kind === 'pause' || other.kind === 'pause') fail(plus.at, 1, 'In a pause nothing is thrown.');
      else if (other.feint) fail(plus.at, 1, 'Only what is thrown first can be a feint: write the “f” before it.');
      else together.push(other.technique);
    }
    return first.kind === 'call' ? { ...first, together } : first;
  }

  const isNamed = ({ kind }: Token): boolean => kind === 'number' || kind === 'word';
  /** Whether this comes next, be there a comma before it or not. */
  function follows(kind: 'times' | '+'): boolean {
    if (tokens[next]?.kind === ',' && tokens[next + 1]?.kind === kind) next++;
    return tokens[next]?.kind === kind;
  }

  function repeated(item: CombinationItem): CombinationItem {
    if (!follows('times')) return item.kind === 'repeat' && item.times === 1 && item.items.length === 1 ? item.items[0]! : item;
    const token = tokens[next++]!;
    const times = Number(/\d+/.exec(token.text)![0]);
    if (times < 1 || times > mostTimes) fail(token.at, token.text.length, `Repeat between 1 and ${mostTimes} times.`);
    return { kind: 'repeat', times, items: item.kind === 'repeat' ? item.items : [item] };
  }

  /** A number or a name at `next`, which moves on past it. */
  function named(): Call | { kind: 'pause' } | undefined {
    const token = tokens[next]!;
    if (token.kind === 'word') return byName(token);
    // A number that begins a name, as in “45 kick”, is a word of it.
    const name = longestName();
    if (!name || name.length === 1) return byNumber(token);
    next += name.length;
    return callOf(name.technique, false);
  }

  function byNumber(token: Token): Call | undefined {
    next++;
    const [, feint, number, body] = /^(f?)(\d+)(b?)$/i.exec(token.text)!;
    const technique = book.calls[number!];
    const place = [token.at, token.text.length] as const;
    if (!technique) return fail(...place, `${book.name} has no ${number}.`, Object.keys(book.calls));
    if (!body) return callOf(technique, Boolean(feint));
    const low = toTheBody[technique];
    const { name } = catalogue.techniques.get(technique) ?? { name: technique };
    return low ? callOf(low, Boolean(feint)) : fail(...place, `There is no ${name.toLowerCase()} to the body.`);
  }

  /** The longest run of words from `next` on that is a name, and of how many tokens. A comma ends it, unless the name has it. */
  function longestName(): { technique: TechniqueId; length: number } | undefined {
    let said = '';
    let longest: { technique: TechniqueId; length: number } | undefined;
    for (let words = 0, ahead = next; words < mostWords; ahead++) {
      const token = tokens[ahead];
      if (token?.kind === ',' && ahead > next) said += ',';
      else if (token && isNamed(token)) {
        said += ` ${plainWords(token.text)}`;
        words++;
        const technique = vocabulary.get(sidesAsLeads(said.trim(), stance));
        if (technique) longest = { technique, length: ahead + 1 - next };
      } else break;
    }
    return longest;
  }

  /** A name, or what stands for one. */
  function byName(token: Token): Call | { kind: 'pause' } | undefined {
    const after = tokens[next + 1];
    const isNamedAfter = after !== undefined && isNamed(after);
    // By itself it is something that can be thrown like anything else; before a name it says how.
    if (isNamedAfter ? /^(f|feint)$/i.test(token.text) : after && /^f$/i.test(token.text)) {
      next++;
      const call = isNamedAfter ? named() : undefined;
      return call?.kind === 'call' ? { ...call, feint: true } : fail(token.at, token.text.length, 'What is feinted?');
    }
    if (/^pause$/i.test(token.text)) {
      next++;
      return { kind: 'pause' };
    }
    const name = longestName();
    if (name) {
      next += name.length;
      return callOf(name.technique, false);
    }
    next++;
    const meant = /^(left|right|lead|rear)$/i.test(token.text) && tokens[next] && longestName();
    if (meant) {
      next += meant.length;
      const name = writtenName(catalogue, meant.technique);
      return fail(token.at, token.text.length, `“${name}” is not thrown with this side.`, [name]);
    }
    const nearest = nearestNames(vocabulary, sidesAsLeads(plainWords(token.text), stance));
    const several = nearest.length > 1 && nearest.every((name) => ` ${name} `.includes(` ${plainWords(token.text)} `));
    return fail(
      token.at,
      token.text.length,
      several ? `“${token.text}” can mean more than one.` : `“${token.text}” is not known.`,
      nearest,
    );
  }

  const callOf = (technique: TechniqueId, feint: boolean): Call => ({ kind: 'call', technique, feint, together: [] });

  const combination = items(undefined);
  if (errors.length === 0 && combination.length === 0) fail(0, 0, 'Nothing is called.');
  if (errors.length === 0 && written(combination) > mostCalls)
    fail(0, text.length, `More than ${mostCalls} calls are no combination.`);
  return errors.length > 0 ? { ok: false, errors } : { ok: true, combination };
}

const written = (items: Combination): number =>
  items.reduce(
    (sum, item) =>
      sum + (item.kind === 'repeat' ? item.times * written(item.items) : item.kind === 'call' ? 1 + item.together.length : 1),
    0,
  );
