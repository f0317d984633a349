import { roundKinds, type RoundKind } from '@wax-fist/core/rounds';
import { remember, remembered } from '../../app/remembered.ts';

/** What is there for a session: this browser remembers it, as most sessions are in the same room. */
export interface PlanKit {
  kit: RoundKind[];
  holder: boolean;
  partner: boolean;
  minutes: number;
}

const rememberedAs = 'wax.plan-kit';
const usual: PlanKit = { kit: ['heavy bag'], holder: false, partner: false, minutes: 60 };

const isKit = (kept: unknown): kept is PlanKit => {
  const { kit, holder, partner, minutes } = (kept ?? {}) as Partial<PlanKit>;
  return (
    Array.isArray(kit) &&
    kit.every((one) => roundKinds.includes(one)) &&
    typeof holder === 'boolean' &&
    typeof partner === 'boolean' &&
    Number.isInteger(minutes) &&
    minutes! >= 5 &&
    minutes! <= 240
  );
};
export const rememberedKit = (): PlanKit => remembered(rememberedAs, isKit) ?? { ...usual, kit: [...usual.kit] };
export const rememberKit = ({ kit, holder, partner, minutes }: PlanKit): void =>
  remember(rememberedAs, { kit, holder, partner, minutes });
