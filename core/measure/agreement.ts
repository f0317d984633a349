import { mean, sum } from 'd3-array';
import { verdictIn, type Band, type BandVerdict } from '../technique/index.ts';
import type { Ratio } from '../units.ts';

const bandVerdicts: readonly BandVerdict[] = ['clean', 'watch', 'fault'];
const weightOf: Record<BandVerdict, number> = { clean: 0, watch: 0.5, fault: 1 };

/** A strike of which a coach and a measure have said something. */
export interface SaidTwice {
  coach: BandVerdict;
  measured: BandVerdict;
}

/** How well a measure goes along with the coaches. */
export interface Agreement {
  strikes: number;
  /** Share of the strikes of which both say the same. */
  same: Ratio;
  /**
   * What of it is more than chance (Cohen 1960): 1 when they never differ, 0 when it is as if one of them had guessed. Undefined
   * where both always say one and the same: chance alone would do that.
   */
  kappa: number | undefined;
  /** By how much more often the measure speaks of a fault, a watch counting half; less than 0 where it is the milder one. */
  bias: Ratio;
}

/** What the measure by itself would say of a strike. */
export const saidTwice = (band: Band, coach: BandVerdict, value: number): SaidTwice => ({
  coach,
  measured: verdictIn(band, value),
});

/** How well a measure goes along with the coaches; undefined when nothing was said twice. */
export function agreementOf(said: readonly SaidTwice[]): Agreement | undefined {
  if (said.length === 0) return undefined;
  const same = mean(said, ({ coach, measured }) => Number(coach === measured))!;
  const share = (of: keyof SaidTwice, verdict: BandVerdict): Ratio => mean(said, (one) => Number(one[of] === verdict))!;
  const byChance = sum(bandVerdicts, (verdict) => share('coach', verdict) * share('measured', verdict));
  return {
    strikes: said.length,
    same,
    kappa: byChance === 1 ? undefined : (same - byChance) / (1 - byChance),
    bias: mean(said, ({ coach, measured }) => weightOf[measured] - weightOf[coach])!,
  };
}
