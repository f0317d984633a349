import type { Circumstances, Drill } from '../drills/index.ts';
import type { CheckpointId, TechniqueId, View } from '../technique/index.ts';
import type { Seconds } from '../units.ts';
import type { LeadShare } from './part.ts';

/** A correction that a session may work on, or look at again. */
export interface PlannedCorrection {
  id: string;
  technique: TechniqueId;
  techniqueName: string;
  checkpointId: CheckpointId;
  checkpointName: string;
  cue: string;
  rung: number;
  /** Whether its day has come. */
  due: boolean;
  /** Strikes that a session should show to settle it; null where nobody can tell yet. */
  strikes: number | null;
  /** From where a camera settles it, and how many frames a second it takes. */
  view: View | null;
  rate: number;
}

/** What a session is planned from. */
export interface PlanWish {
  length: Seconds;
  who: Circumstances;
  leads: LeadShare;
  /** What matters most first. */
  corrections: readonly PlannedCorrection[];
  technique: { id: TechniqueId; name: string } | null;
  /** Hard rounds of the other sessions of the week. */
  impactThisWeek: number;
  /** Fewer hard rounds than may be: the week has more sessions, or yesterday’s was hard. */
  impactAtMost?: number;
  /** Corrections that another session of the week looks at again. */
  lookedAtElsewhere?: readonly string[];
  drills: readonly Drill[];
}
