import type { FilmPart, Turn } from '@wax-fist/contract/film-parts';
import { v7 as uuid } from 'uuid';
import { filmPartsWords as words } from './words.ts';

/** A round that is to be given to somebody; null leaves it out. */
export interface GivenRound {
  roundId: string;
  /** Who seems to work in it. */
  person: number;
  traineeId: string | null | undefined;
}

/** Rounds in their order with who seems to work in them: whoever is seen first is whose film it is, all others are still to be told. */
export const roundsToGive = (turns: readonly Turn[], traineeId: string): GivenRound[] =>
  turns.flatMap(({ person, roundIds }) =>
    roundIds.map((roundId): GivenRound => ({ roundId, person, traineeId: person === 0 ? traineeId : undefined })),
  );

/** Gives a round to somebody, and with it all of the same person that nobody was told of yet. */
export const given = (rounds: readonly GivenRound[], roundId: string, traineeId: string | null): GivenRound[] => {
  const person = rounds.find((one) => one.roundId === roundId)?.person;
  return rounds.map((one) =>
    one.roundId === roundId || (one.person === person && one.traineeId === undefined) ? { ...one, traineeId } : one,
  );
};

/** Parts as they are cut: rounds in a row of the same trainee are one. */
export function partsOf(rounds: readonly GivenRound[]): FilmPart[] {
  const parts: FilmPart[] = [];
  let before: string | null | undefined;
  for (const { roundId, traineeId } of rounds) {
    if (traineeId) {
      if (traineeId === before) parts.at(-1)!.roundIds.push(roundId);
      else parts.push({ filmId: uuid(), traineeId, roundIds: [roundId] });
    }
    before = traineeId;
  }
  return parts;
}

/** Why these rounds cannot be cut; nothing where they can. */
export function whyNotCut(rounds: readonly GivenRound[]): string | undefined {
  if (rounds.some(({ traineeId }) => traineeId === undefined)) return words.sayOfEachRoundWhose;
  const people = new Set(rounds.map(({ traineeId }) => traineeId));
  if (people.size === 1) return words.itIsAllOfOne;
  return undefined;
}
