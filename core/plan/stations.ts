import type { Seconds } from '../units.ts';

/** A place at which some of a group work at the same time. */
export interface Station {
  name: string;
  /** So many at a time: one where one holder stands. */
  takes: number;
}
/** Who is where in one turn: people by the place of their station. */
export type Turn = readonly (readonly string[])[];
/** A group’s way round its stations. */
export interface Rotation {
  /** As they were given, and one to watch and count at where there is no room for all. */
  stations: readonly Station[];
  turns: readonly Turn[];
}

/** A group is no larger than one coach can look after. */
export const mostPeople = 16;
/** Where those wait for whom there is no place. */
export const watching = 'Watch and count';

/**
 * Everybody as often at every station as anybody else. Where each station takes its share of the group, it goes round in as many turns
 * as there are stations; else everybody goes by one place along all places, and it takes as many turns as there are places.
 * @throws RangeError without people, stations or room, and for more people than one coach looks after
 */
export function rotationOf(people: readonly string[], given: readonly Station[]): Rotation {
  if (people.length === 0 || people.length > mostPeople) throw new RangeError(`From 1 to ${mostPeople} people.`);
  if (given.length === 0 || given.some(({ takes }) => takes < 1)) throw new RangeError('Every station takes somebody.');
  const room = given.reduce((sum, { takes }) => sum + takes, 0);
  const stations = room < people.length ? [...given, { name: watching, takes: people.length - room }] : [...given];
  const share = Math.ceil(people.length / stations.length);
  if (stations.every(({ takes }) => takes >= share)) {
    const groups = stations.map((_, group) => people.filter((_, place) => place % stations.length === group));
    const turns = stations.map((_, turn) =>
      stations.map((_, station) => groups[(station - turn + stations.length * stations.length) % stations.length]!),
    );
    return { stations, turns };
  }
  const places = stations.flatMap(({ takes }, station) => Array.from({ length: takes }, () => station));
  const turns = places.map((_, turn) =>
    stations.map((_, station) => people.filter((_, person) => places[(person + turn) % places.length] === station)),
  );
  return { stations, turns };
}

/** How long it takes to go round so often, without a rest at the end. */
export const rotationLength = ({ turns }: Rotation, work: Seconds, rest: Seconds, laps = 1): Seconds =>
  turns.length * laps * (work + rest) - rest;

/** How often a group can go round in the time that there is. */
export const lapsWithin = (rotation: Rotation, work: Seconds, rest: Seconds, length: Seconds): number =>
  Math.max(0, Math.floor((length + rest) / (rotation.turns.length * (work + rest))));
