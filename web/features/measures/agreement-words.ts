import type { MeasureAgreement } from '@wax-fist/contract/measures';

/** On fewer strikes nobody can say how well a measure goes along with coaches. */
const fewest = 8;
export const enoughToTell = ({ strikes, same }: MeasureAgreement): boolean => strikes >= fewest && same !== null;

/** A measure that says something else than the coaches more often than in one strike of five is not to be let alone. */
const leastSame = 0.8;
export const advisedAgainst = (one: MeasureAgreement): boolean => enoughToTell(one) && one.same! < leastSame;

/** Less than this is no leaning. */
const noLeaning = 0.03;

/** What agreement and leaning come to. The steps of kappa are those of Landis and Koch (1977). */
export function agreementInWords({ kappa, bias }: MeasureAgreement): { kappa: string; bias: string } {
  const steps: [number, string][] = [
    [0.8, 'almost perfect'],
    [0.6, 'substantial'],
    [0.4, 'moderate'],
    [0.2, 'fair'],
    [-1, 'hardly any'],
  ];
  const points = Math.round(100 * Math.abs(bias ?? 0));
  return {
    kappa: kappa === null ? 'all say the same' : (steps.find(([least]) => kappa > least)?.[1] ?? 'none'),
    bias:
      bias === null || Math.abs(bias) < noLeaning
        ? 'to neither side'
        : `${points} points ${bias > 0 ? 'stricter' : 'milder'} than the coaches`,
  };
}
