import { markShape, type Mark, type MarkKind, type RefusedMark, type WrittenMarks } from '@wax-fist/contract/review';
import type { Catalogue } from '@wax-fist/core/technique';
import { ValidationError } from 'yup';
import { steadyNow } from './steady-now.ts';

/** A mark, its place in the batch and when it counts as said. */
export interface Told<One extends Mark = Mark> {
  place: number;
  mark: One;
  saidAt: Date;
}

/** What marks of a film are checked against. */
export interface Desk {
  frames: number | null;
  /** Whether whoever says it marks the film a second time, and does not see what the first one said. */
  blind: boolean;
  /** The checklists by which the film's session is judged. */
  catalogue: Catalogue | undefined;
  /** Every version of the checklists by which somebody judged. */
  catalogues: ReadonlyMap<number, Catalogue>;
}

/** Why a mark of each kind cannot be taken, whatever else the log says; undefined when it can. */
const problems: { readonly [Kind in MarkKind]: (mark: Extract<Mark, { kind: Kind }>, desk: Desk) => string | undefined } = {
  strike({ technique, part, homeFrame }, { frames, catalogue, blind }) {
    if (blind) return 'Strikes stay as they are while you mark this film a second time.';
    if (frames === null || homeFrame >= frames) return 'This strike lies outside of the film.';
    const known = catalogue?.techniques.get(technique);
    if (!known) return 'This technique is not in the catalogue of this session.';
    if (part !== null && part >= known.parts.length) return 'This technique has no such part.';
    return undefined;
  },
  observation({ checkpointId, checklistVersion, blind }, { catalogues, ...desk }) {
    if (blind && !desk.blind) return 'You are not marking this film a second time, or are done with it.';
    if (!blind && desk.blind) return 'You mark this film without seeing what was said of it: say so first that you are done.';
    return catalogues.get(checklistVersion)?.checkpoints.has(checkpointId)
      ? undefined
      : 'This checkpoint is not in the checklist.';
  },
  pin: ({ frame }, { frames }) => (frames === null || frame >= frames ? 'This frame lies outside of the film.' : undefined),
};
export const problemOf = (mark: Mark, desk: Desk): string | undefined =>
  (problems[mark.kind] as (one: Mark, at: Desk) => string | undefined)(mark, desk);

/** Marks on their way into the log: each is taken or refused by itself, with its reason. */
export class Sieve {
  readonly refused: RefusedMark[] = [];
  told: Told[] = [];

  /** Reads what was sent. A browser whose clock is ahead must not win for ever: nothing counts as said after now. */
  constructor(sent: readonly unknown[], now = steadyNow()) {
    sent.forEach((one, place) => {
      try {
        const mark = markShape.validateSync(one, { stripUnknown: true });
        this.told.push({ place, mark, saidAt: new Date(Math.min(now, Date.parse(mark.saidAt))) });
      } catch (error) {
        if (!(error instanceof ValidationError)) throw error;
        this.refused.push({ place, reason: error.message });
      }
    });
  }

  /** Lets go of every mark that has a problem. */
  sift(problem: (told: Told) => string | undefined): void {
    this.told = this.told.filter((told) => {
      const reason = problem(told);
      if (reason !== undefined) this.refused.push({ place: told.place, reason });
      return reason === undefined;
    });
  }

  /** Lets go of every such mark that has a problem. */
  siftOf<One extends Mark>(such: (mark: Mark) => mark is One, problem: (told: Told<One>) => string | undefined): void {
    this.sift((told) => (such(told.mark) ? problem({ ...told, mark: told.mark }) : undefined));
  }

  /** What became of each of the batches that the marks came in, by how many each has. */
  answers(lengths: readonly number[]): WrittenMarks[] {
    const refused = this.refused.sort((a, b) => a.place - b.place);
    let end = 0;
    return lengths.map((length) => {
      const begin = end;
      end += length;
      const isOfBatch = ({ place }: { place: number }): boolean => begin <= place && place < end;
      return {
        kept: this.told.filter(isOfBatch).map(({ mark }) => mark.id),
        refused: refused.filter(isOfBatch).map(({ place, reason }) => ({ place: place - begin, reason })),
      };
    });
  }

  /** What is left of such marks. */
  that<One extends Mark>(such: (mark: Mark) => mark is One): Told<One>[] {
    return this.told.filter((told): told is Told<One> => such(told.mark));
  }

  /** What is left of one kind. */
  of<Kind extends MarkKind>(kind: Kind): Told<Extract<Mark, { kind: Kind }>>[] {
    return this.that((mark): mark is Extract<Mark, { kind: Kind }> => mark.kind === kind);
  }
}
