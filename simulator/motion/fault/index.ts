import { isSeries, partsOf, type Thrown } from '../technique/thrown.ts';
import { bagFaults } from './bag.ts';
import { feetFaults } from './feet.ts';
import { handGuardFaults } from './hand-guard.ts';
import { handTurnFaults } from './hand-turn.ts';
import { handWayFaults } from './hand-way.ts';
import { kickFaults } from './kick.ts';
import type { FaultModel } from './model.ts';
import { moveFaults } from './move.ts';
import { postureFaults } from './posture.ts';

export type { FaultModel } from './model.ts';

export const faultModels: readonly FaultModel[] = [
  ...handGuardFaults,
  ...handTurnFaults,
  ...handWayFaults,
  ...kickFaults,
  ...feetFaults,
  ...moveFaults,
  ...bagFaults,
  ...postureFaults,
];

export const faultModel = (id: string): FaultModel | undefined => faultModels.find((fault) => fault.id === id);

/** Whether something can show a fault: by itself, or because one of its parts can. */
export const canShow = ({ of, notIn }: FaultModel, technique: Thrown): boolean =>
  of.includes(technique) ||
  (isSeries(technique) && !notIn?.includes(technique) && partsOf(technique).some((part) => of.includes(part)));
