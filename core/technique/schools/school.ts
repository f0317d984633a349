import { switches, type Choice, type ChoiceEffects, type SwitchId } from './switch.ts';

/** A named set of choices by which footage is judged. */
export interface School {
  name: string;
  /** The id of a choice for each switch. */
  choices: Readonly<Record<string, string>>;
}

const usual: Record<SwitchId, string> = {
  'guard-line': 'chin',
  arm: 'full',
  intent: 'snap',
  'front-heel': 'light',
  'stance-width': 'standard',
  'stance-line': 'toe-heel',
  'jab-body': 'arm',
  'body-hook-fist': 'palm-down',
  'open-side-feet': 'opposite',
  'quarter-turn': 'touch',
  'cross-foot': 'stays',
  'round-arm': 'home',
  exit: 'step',
  terms: 'round-push',
};

/** Ready-made, with names that take no side. The ids are the same in every club. */
export const readySchools = [
  { id: '0190c0de-0000-7000-8000-000000000001', name: 'Long lines', choices: usual },
  {
    id: '0190c0de-0000-7000-8000-000000000002',
    name: 'Square and ready',
    choices: {
      ...usual,
      'guard-line': 'cheekbone',
      'stance-width': 'compact',
      'stance-line': 'squarer',
      'round-arm': 'counterweight',
      'quarter-turn': 'lift',
      arm: 'bent',
    },
  },
  {
    id: '0190c0de-0000-7000-8000-000000000003',
    name: 'Low lead, heavy hands',
    choices: {
      ...usual,
      'guard-line': 'low-lead',
      'stance-line': 'bladed',
      'stance-width': 'wide',
      'front-heel': 'planted',
      'jab-body': 'small-turn',
      intent: 'drive',
      'body-hook-fist': 'thumb-up',
      'cross-foot': 'shift',
      exit: 'weave',
    },
  },
] as const satisfies readonly (School & { id: string })[];

/** What most coaches teach; it changes nothing. */
export const usualSchool: School = readySchools[0];

/** The choice that a school has made; the first of a switch that it does not know. */
export const chosen = ({ choices }: School, switchId: SwitchId): Choice => {
  const { choices: all } = switches.find(({ id }) => id === switchId)!;
  return all.find(({ id }) => id === choices[switchId]) ?? all[0]!;
};

/** Everything that a school changes, switch by switch. */
export const effectsOf = (school: School): ChoiceEffects[] => switches.map(({ id }) => chosen(school, id).effects);

/** What a technique is called in a school; undefined when it has no name of its own for it. */
export const termOf = (school: School, technique: string): string | undefined =>
  effectsOf(school)
    .map(({ terms }) => (terms as Record<string, string> | undefined)?.[technique])
    .find(Boolean);

/** Switches in which two schools differ. */
export const differentSwitches = (one: School, other: School): SwitchId[] =>
  switches.map(({ id }) => id).filter((id) => chosen(one, id).id !== chosen(other, id).id);
