import { remember, remembered } from '../../app/remembered.ts';
import { whole } from '@wax-fist/contract/shapes';
import { views } from '@wax-fist/core/technique';
import { boolean, object, string, type InferType } from 'yup';
import { filmingWords as words } from './words.ts';

const needed = (name: string, least: number, most: number) => whole(name, least, most).required(words.aNumberPlease(name));

/** How it is filmed; times in seconds, as they are typed. */
export const filmingPlanShape = object({
  rounds: needed(words.rounds, 1, 30),
  work: needed(words.work, 5, 900),
  rest: needed(words.rest, 0, 600),
  ready: needed(words.getReady, 0, 120),
  view: string().oneOf(views).required(),
  bell: boolean().required(),
});
export type FilmingPlan = InferType<typeof filmingPlanShape>;

export const usualPlan: FilmingPlan = { rounds: 3, work: 180, rest: 60, ready: 10, view: 'lead-side', bell: true };

const rememberedAs = 'wax.filming-plan';
const isPlan = (kept: unknown): kept is FilmingPlan => filmingPlanShape.isValidSync(kept, { strict: true });
/** The plan of last time; the usual one where there is none, or one that no longer holds. */
export const rememberedPlan = (): FilmingPlan => remembered(rememberedAs, isPlan) ?? { ...usualPlan };
export const rememberPlan = (plan: FilmingPlan): void => remember(rememberedAs, plan);
