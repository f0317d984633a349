import {
  farOff,
  foundIn,
  momentsOnPath,
  seenContactDoubt,
  usualTail,
  type FoundName,
  type Thrower,
} from '@wax-fist/core/measure';
import { noHitEdits } from '@wax-fist/core/sound';
import { believedStrikes, findStrikes } from '@wax-fist/core/strikes';
import { across, handOf, shippedCatalogue, techniqueIn } from '@wax-fist/core/technique';
import { deviation, group } from 'd3-array';
import type { Truth } from '../simulator/truth/truth.ts';
import { everyFilm, films, followed, personOf, trueMoments } from './followed-films.ts';
import { latenessOf, shareWithin } from './lateness.ts';
import { matched } from './matching.ts';
import { percent, printTable } from './table.ts';

/** A moment that was looked for on the path of a limb: by how many milliseconds it was found too late; undefined where it was not. */
interface Sought {
  thrower: Thrower;
  name: FoundName;
  person: string;
  late: number | undefined;
}

function* soughtIn(film: string): Generator<Sought> {
  const { scene, truth } = followed(film) ?? {};
  if (!scene || !truth) return;
  for (const { technique, parts, launch, contact, home } of truth.strikes) {
    if (parts) continue;
    const set = trueMoments(scene.timeline, { launch, contact, home });
    const guessed = { ...set, launchOrigin: 'guessed', homeOrigin: 'guessed' } as const;
    const path = momentsOnPath(scene, guessed, techniqueIn(shippedCatalogue, technique));
    if (!path) continue;
    for (const name of ['launch', 'home'] as const) {
      const time = path.at(name);
      const truly = name === 'launch' ? launch : home;
      yield { thrower: path.thrower, name, person: personOf(film), late: time === undefined ? undefined : time - truly };
    }
  }
}

/** How well a moment is found of people by whom nothing was set: each person's by what all others are late. */
export interface FoundFigure {
  thrower: Thrower;
  name: FoundName;
  strikes: number;
  people: number;
  /** Share of the strikes in which it was found. */
  found: number;
  /** Median of everybody's, in milliseconds: what `lateness` holds. */
  late: number;
  spread: number;
  /** What is doubted of it; undefined where it is not told. */
  claimed: number | undefined;
  within68: number | undefined;
  within95: number | undefined;
}

export function figuresOfMoments(): FoundFigure[] {
  const sought = films.flatMap((film) => [...soughtIn(film)]);
  return [...group(sought, ({ thrower, name }) => `${thrower} ${name}`).values()].flatMap((list) => {
    const found = list.flatMap(({ person, late }) => (late === undefined ? [] : [{ person, late }]));
    const { people, late, errors } = latenessOf(found);
    if (people < 2) return [];
    const { thrower, name } = list[0]!;
    const claimed = foundIn[thrower][name]?.doubt;
    const within = (times: number): number | undefined => claimed && shareWithin(errors, times * claimed);
    return [
      {
        ...{ thrower, name, strikes: list.length, people, found: found.length / list.length },
        claimed,
        ...{ late, spread: deviation(errors)!, within68: within(1), within95: within(farOff(usualTail)) },
      },
    ];
  });
}

/** How well it is told when something lands that is seen and not heard. */
export interface SeenContacts {
  /** What strikes, and how it lies to the camera. */
  what: string;
  strikes: number;
  people: number;
  late: number;
  spread: number;
  within68: number;
  within95: number;
}
/** What is seen farther away from a contact is of another one. */
const sameStrike = 140;
const strikingKinds: readonly string[] = ['hand', 'elbow', 'kick', 'knee'];

function* contactsSeenIn(film: string): Generator<{ what: string; person: string; late: number }> {
  const { scene, truth } = followed(film) ?? {};
  if (!scene || !truth) return;
  const { timeline, track, view, stance } = scene;
  const strikes = truth.strikes.flatMap((strike) => (strike.parts as Truth['strikes'] | undefined) ?? [strike]);
  const contacts = strikes.map(({ contact }) => contact);
  const searched = { timeline, track, view, leftLeads: handOf('lead', stance) === 'left' };
  const { of } = matched(believedStrikes(findStrikes(searched, []), noHitEdits), ({ time }) => time, contacts, sameStrike);
  for (const [place, { technique, contact }] of strikes.entries()) {
    const { kind } = techniqueIn(shippedCatalogue, technique);
    if (!of[place] || !strikingKinds.includes(kind)) continue;
    const lies = across.includes(view) ? 'along' : view === 'quarter' ? 'askew' : 'across';
    yield { what: `${kind} ${lies}`, person: personOf(film), late: of[place].time - contact };
  }
}
export function figuresOfSeenContacts(): SeenContacts[] {
  const seen = everyFilm.flatMap((film) => [...contactsSeenIn(film)]);
  return [...group(seen, ({ what }) => what)].flatMap(([what, list]) => {
    const { people, late } = latenessOf(list);
    if (people < 2) return [];
    // As it is told: what it is late by is so little that nothing is taken off.
    const errors = list.map((one) => one.late);
    const within = (times: number): number => shareWithin(errors, times * seenContactDoubt);
    return [
      {
        what,
        strikes: list.length,
        people,
        late,
        spread: deviation(errors)!,
        within68: within(1),
        within95: within(farOff(usualTail)),
      },
    ];
  });
}

export function benchMoments(): void {
  console.log('\nMoments on the path of a limb, each person by what the others are late (milliseconds)\n');
  const titles = ['limb', 'moment', 'strikes', 'people', 'found', 'late', 'spread', 'claimed', 'in 68%', 'in 95%'];
  const rows = figuresOfMoments().map((one) => [
    ...[one.thrower, one.name, one.strikes, one.people, percent(one.found), one.late.toFixed(0), one.spread.toFixed(0)],
    ...[one.claimed ?? '–', percent(one.within68), percent(one.within95)],
  ]);
  printTable(titles, rows);
  console.log(`\nContacts that are seen and not heard (milliseconds); ${seenContactDoubt} are claimed\n`);
  printTable(
    ['strike', 'strikes', 'people', 'late', 'spread', 'in 68%', 'in 95%'],
    figuresOfSeenContacts().map((one) => [
      ...[one.what, one.strikes, one.people, one.late.toFixed(0), one.spread.toFixed(0)],
      ...[percent(one.within68), percent(one.within95)],
    ]),
  );
}
