import type { KnownStrike, StrikeElsewhere } from '@wax-fist/core/marks-elsewhere';
import type { View } from '@wax-fist/core/technique';
import type { Mark, Review } from './review.ts';

/** From where the film was taken, by which checklists it is judged, and when marks made elsewhere are read into it. */
export interface ReadInto {
  view: View;
  checklistVersion: number;
  /** ISO 8601. */
  saidAt: string;
  freshId: () => string;
}

/** Endings of files of marks that were made elsewhere. */
export const marksEndings = ['.csv', '.tsv', '.txt', '.vtt', '.srt', '.json', '.jsonld'] as const;

/** The strikes that a film has, with what is said of them. */
export const knownStrikes = ({ strikes, observations }: Pick<Review, 'strikes' | 'observations'>): KnownStrike[] =>
  strikes
    .filter(({ removed }) => !removed)
    .map(({ strikeId, technique, contactFrame }) => ({
      ...{ strikeId, technique, contactFrame },
      verdicts: observations.flatMap(({ strikeId: of, checkpointId, verdict, note }) =>
        of === strikeId && verdict ? [{ checkpointId, verdict, note: note ?? null }] : [],
      ),
    }));

/** Strikes of a file as marks of the film’s log. A strike that the film has is not told again, only judged. No mark where all stands already. */
export const marksElsewhere = (
  strikes: readonly StrikeElsewhere[],
  { view, checklistVersion, saidAt, freshId }: ReadInto,
): Mark[] =>
  strikes.flatMap(({ technique, strikeId: here, verdicts, ...moments }): Mark[] => {
    const strikeId = here ?? freshId();
    const { launchFrame, contactFrame, homeFrame, launchOrigin, contactOrigin, homeOrigin } = moments;
    return [
      ...(here
        ? []
        : [
            {
              ...{ kind: 'strike' as const, id: freshId(), strikeId, saidAt, technique, part: null, removed: false },
              ...{ launchFrame, contactFrame, homeFrame, launchOrigin, contactOrigin, homeOrigin },
            },
          ]),
      ...verdicts.map(({ checkpointId, verdict, note }) => ({
        ...{ kind: 'observation' as const, strikeId, saidAt, checkpointId, verdict, note, view, checklistVersion },
        id: freshId(),
        ...{ anyway: true, proposed: null, blind: false },
      })),
    ];
  });

/** The marks that take it back: strikes that were new go, and what was said of others is unsaid. */
export const takenBack = (marks: readonly Mark[], saidAt: string, freshId: () => string): Mark[] => {
  const fresh = new Set(marks.flatMap((mark) => (mark.kind === 'strike' ? [mark.strikeId] : [])));
  return marks.flatMap((mark): Mark[] => {
    if (mark.kind === 'strike') return [{ ...mark, id: freshId(), saidAt, removed: true }];
    if (mark.kind === 'observation' && !fresh.has(mark.strikeId))
      return [{ ...mark, id: freshId(), saidAt, verdict: null, note: null }];
    return [];
  });
};
