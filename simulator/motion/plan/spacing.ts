import { approach } from './hand.ts';
import { advanceFor, type SingleModel } from '../technique/single.ts';

/** Between a hand and a leg, seconds. */
const afterHand = 0.16;
/** A kick from too close begins so much earlier and ends so much later, as shares of its ways. */
const crowded = 2.2;

/** Seconds after one movement until the next can be launched. */
export function gap(before: SingleModel, after: SingleModel): number {
  const comesCloser = advanceFor(after) > advanceFor(before);
  // A leg is thrown from a stance that has closed behind the strike before.
  const legFirst = after.kind !== 'hand' || before.kind !== 'hand';
  const ahead = after.kind === 'kick' ? aheadOf(after) : comesCloser ? approach : 0;
  return (legFirst ? afterHand : 0) + ahead;
}

/** Seconds that something goes on after it is home. */
export function afterOf(model: SingleModel): number {
  if (model.kind !== 'kick') return 0;
  const shares = model.beside.map((part) => ('come' in part ? part.go[1] : part.passing === 'out' ? part.share[1] : 0));
  return Math.max(0, Math.max(0, model.crowded > 0 ? crowded : 0, ...shares) - 1) * model.returnTime;
}

/** Seconds that something begins before its launch: a step in, a switch, a step off the line. */
export function aheadOf(model: SingleModel): number {
  if (model.kind !== 'kick') return advanceFor(model) > 0 ? approach : 0;
  const shares = model.beside.map((part) => ('come' in part ? part.come[0] : part.share[0]));
  return -Math.min(0, ...shares) * model.outTime + (model.crowded > 0 ? crowded * model.outTime : 0);
}
