import type { RoundKind } from '../rounds/index.ts';
import type { CheckpointId, TechniqueId, View } from '../technique/index.ts';
import type { AgeGroup, BodyPart, Grade } from '../trainee/index.ts';
import type { Seconds } from '../units.ts';

/** Who has to be there besides: nobody, somebody who holds, or somebody who moves along. */
export const companies = ['alone', 'holder', 'partner'] as const;
export type Company = (typeof companies)[number];
/** In words. */
export const companyNames: Record<Company, string> = { alone: 'Alone', holder: 'With a holder', partner: 'With a partner' };

/** How hard something is hit. Only full impact counts towards what a body may take in a session and in a week. */
export const impacts = ['none', 'light', 'full'] as const;
export type Impact = (typeof impacts)[number];
/** In words. */
export const impactNames: Record<Impact, string> = { none: 'Nothing is hit', light: 'Light', full: 'Full impact' };

/** How much of it is done. */
export interface Dose {
  /** Times a lead in each round; null where only the clock counts. */
  each: number | null;
  rounds: number;
  work: Seconds;
  /** Between two rounds. */
  rest: Seconds;
}

/** From where a drill is filmed, and what the film has to show. */
export interface DrillFilm {
  view: View;
  what: string;
}

/** Something that is done again and again to get one thing right. */
export interface Drill {
  id: string;
  name: string;
  /** How it is done, for somebody who has not seen it. */
  how: string;
  /** What it trains. */
  trains: readonly CheckpointId[];
  /** What is thrown in it; none where it serves whatever is thrown. */
  techniques: readonly TechniqueId[];
  /** Where on the ladder of conditions it stands, 1 to 7. */
  rung: number;
  /** What is worked on: any one of these. */
  on: readonly RoundKind[];
  /** What else has to lie ready. */
  needs: readonly string[];
  company: Company;
  /** What is called, in the words of the call grammar; null where nothing is. */
  recipe: string | null;
  dose: Dose;
  /** Short enough to be shouted. */
  cue: string;
  film: DrillFilm | null;
  /** The drill one step easier, and one step harder. */
  easier: string | null;
  harder: string | null;
  caution: string;
  /** Parts of the body that it loads: whoever is hurt there leaves it. */
  loads: readonly BodyPart[];
  impact: Impact;
  /** Whether somebody strikes, pushes or catches back. */
  contact: boolean;
  /** For whom it is. */
  ages: readonly AgeGroup[];
  grade: Grade;
}
