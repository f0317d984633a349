import { afterHeadBlow, drillsFor, isThrownIn, kitFor, whyNot, type Circumstances, type Drill } from '../drills/index.ts';
import { rungName } from '../correction/index.ts';
import { padKinds, type RoundKind } from '../rounds/index.ts';
import type { FloorRules } from './rules.ts';
import type { PlanPart } from './part.ts';
import type { PlannedCorrection, PlanWish } from './wish.ts';

/** Rounds of one thing that a session could have: how many are worth while, and what each is worth. */
export interface Candidate {
  part: PlanPart;
  /** What the first round is worth, the second one besides, and so on; so many rounds at most. */
  worth: readonly number[];
  /** Another candidate that has to be there for this one: low before one rung up. */
  after: string | null;
  /** Of some that stand for one another, at most one is taken. */
  instead: string | null;
}
/** Something that is not in a plan, and why. */
export interface LeftOut {
  what: string;
  why: string;
}
export interface Candidates {
  list: Candidate[];
  leftOut: LeftOut[];
}

/** What is hit on each rung: the first that is there. */
const kitOfRung: readonly (readonly RoundKind[])[] = [
  ['shadowboxing'],
  ['shadowboxing'],
  ['heavy bag', 'long bag', 'fixed pole', 'uppercut bag'],
  ['heavy bag', 'long bag', 'fixed pole', 'uppercut bag'],
  ['focus mitts', 'Thai pads', 'kick shield', 'paddle', 'body shield'],
  ['focus mitts', 'Thai pads', 'paddle'],
  ['heavy bag', 'long bag', 'Thai pads', 'focus mitts'],
];

/** No bag and no pads for whom a blow to the head has not been cleared. */
const mayHit = ({ limits }: Circumstances): boolean => !limits.includes('head');

/** What a rung is done on, of what is there and may be hit; null where nothing of the sort is. */
function kitAtRung(rung: number, { who }: PlanWish): RoundKind | null {
  const at = kitOfRung[rung - 1]!.find((on) => on === 'shadowboxing' || who.kit.includes(on));
  const may = at === 'shadowboxing' || mayHit(who);
  return at && may && (who.holder || !padKinds.includes(at)) ? at : null;
}

/** Strikes of one technique in a minute: thrown singly, or among others. */
const aMinute = (rung: number): number => (rung <= 3 ? 12 : 7);
/** What nobody knows yet is asked with so many strikes: half as many again as the fewest that say anything. */
const usualStrikes = 12;
/** More on one day helps little: strikes of a day are like each other. */
const mostRecheckRounds = 2;
/** So many corrections are worked on at a time. */
export const mostWorkedOn = 2;

const usualCaution = (on: RoundKind): string =>
  on === 'shadowboxing' ? 'No full power in the air, no locked joints.' : 'Wraps and gloves; wrist in line.';

/** A part with what most parts have. */
const partOf = (
  rules: FloorRules,
  wish: PlanWish,
  own: Partial<PlanPart> & Pick<PlanPart, 'id' | 'kind' | 'title'>,
): PlanPart => ({
  ...{ says: '', drillId: null, correctionId: null, technique: null, checkpointId: null, on: 'shadowboxing', rung: null },
  ...{ impact: false, rounds: 1, work: rules.work, rest: rules.rest, leads: wish.leads, recipe: null, cue: '' },
  ...{ caution: usualCaution(own.on ?? 'shadowboxing'), shot: null },
  ...own,
});

/** A drill as a part of a session: its own times within what the rules allow. */
export const partOfDrill = (
  drill: Drill,
  on: RoundKind,
  rules: FloorRules,
  wish: PlanWish,
  own: Pick<PlanPart, 'id' | 'kind'> & Partial<PlanPart>,
): PlanPart =>
  partOf(rules, wish, {
    ...{ title: drill.name, says: drill.how, drillId: drill.id, on, rung: drill.rung, impact: drill.impact === 'full' },
    ...{
      work: Math.min(drill.dose.work, rules.work),
      rest: Math.max(drill.impact === 'none' ? 30 : rules.rest, drill.dose.rest),
    },
    ...{ recipe: drill.recipe, cue: drill.cue, caution: drill.caution },
    ...own,
  });

const aboutIt = ({ id, technique, checkpointId, cue }: PlannedCorrection): Partial<PlanPart> => ({
  correctionId: id,
  technique,
  checkpointId,
  cue,
});
const nameOf = ({ techniqueName, checkpointName }: PlannedCorrection): string => `${techniqueName}: ${checkpointName}`;

/** Drills for a correction that this trainee may do with what is there, nearest to a rung first. */
function fitting(one: PlannedCorrection, rung: number, wish: PlanWish): Drill[] {
  // A drill for something else is thrown otherwise, and trains otherwise.
  const its = wish.drills.filter((drill) => isThrownIn(drill, one.technique));
  return drillsFor(its, one, rung).filter((drill) => whyNot(drill, wish.who) === null);
}

/** The two halves of working on a correction: low first, then one rung up. */
function work(one: PlannedCorrection, place: number, rules: FloorRules, wish: PlanWish): Candidates {
  const lowRung = Math.max(1, one.rung - 1);
  const upRung = Math.max(lowRung + 1, one.rung);
  const low = fitting(one, lowRung, wish).find(({ rung }) => rung <= lowRung);
  const up = fitting(one, upRung, wish).find(({ rung, id }) => rung > (low?.rung ?? lowRung) && rung <= upRung && id !== low?.id);
  const less = place === 0 ? 1 : 0.7;
  const list: Candidate[] = [];
  const leftOut: LeftOut[] = [];
  const add = (part: PlanPart, worth: number[], after: string | null): void =>
    void list.push({ part, worth: worth.map((value) => value * less), after, instead: null });
  const lowId = `low ${one.id}`;
  const slowly = { id: lowId, kind: 'low' as const, ...aboutIt(one) };
  add(
    low
      ? partOfDrill(low, kitFor(low, wish.who.kit)!, rules, wish, slowly)
      : partOf(rules, wish, {
          ...slowly,
          ...{
            title: `${one.techniqueName}, slowly`,
            says: `One at a time, and look: ${one.checkpointName.toLowerCase()}.`,
            rung: 1,
            rest: 30,
          },
          ...{ recipe: one.techniqueName.toLowerCase(), work: Math.min(rules.work, 90) },
        }),
    [10, 5],
    null,
  );
  const above = { id: `up ${one.id}`, kind: 'up' as const, ...aboutIt(one) };
  const on = kitAtRung(upRung, wish);
  if (up) add(partOfDrill(up, kitFor(up, wish.who.kit)!, rules, wish, above), [9, 6, 3], lowId);
  else if (on)
    add(
      partOf(rules, wish, {
        ...above,
        ...{ title: `${one.techniqueName}, ${rungName(upRung).toLowerCase()}`, on, rung: upRung, impact: on !== 'shadowboxing' },
        ...{
          says: `At the speed at which it still goes right: ${one.checkpointName.toLowerCase()}.`,
          recipe: one.techniqueName.toLowerCase(),
        },
      }),
      [9, 6, 3],
      lowId,
    );
  else leftOut.push({ what: `${nameOf(one)}, one rung up`, why: missing(upRung, wish) });
  return { list, leftOut };
}

/** Why something cannot be done at a rung. */
function missing(rung: number, wish: PlanWish): string {
  if (!mayHit(wish.who) && rung > 2) return afterHeadBlow;
  return `“${rungName(rung)}” needs ${rung === 5 || rung === 6 ? 'pads and somebody who holds' : 'a bag'}.`;
}

/** Rounds that are filmed so that they answer whether it holds. */
function recheck(one: PlannedCorrection, rules: FloorRules, wish: PlanWish): Candidates {
  const on = kitAtRung(one.rung, wish);
  const what = `${nameOf(one)}, re-check`;
  if (!on) return { list: [], leftOut: [{ what, why: missing(one.rung, wish) }] };
  const strikes = one.strikes ?? usualStrikes;
  const aRound = Math.floor((aMinute(one.rung) * rules.work) / 60);
  const rounds = Math.min(mostRecheckRounds, Math.max(1, Math.ceil(strikes / aRound)));
  const worth = one.due ? 14 : 3;
  const part = partOf(rules, wish, {
    ...aboutIt(one),
    ...{ id: `re-check ${one.id}`, kind: 're-check', title: nameOf(one), on, rung: one.rung, impact: on !== 'shadowboxing' },
    ...{ says: `${rungName(one.rung)}. Nobody says the cue: it is filmed as it comes.`, cue: '', leads: 'usual only' },
    ...{ recipe: one.techniqueName.toLowerCase() },
    shot: { view: one.view ?? 'lead-side', rate: one.rate, strikes: Math.min(strikes, aRound * rounds) },
  });
  // Half of the strikes settle less than half.
  return {
    list: [{ part, worth: rounds === 1 ? [worth] : [worth * 0.4, worth * 0.6], after: null, instead: null }],
    leftOut: [],
  };
}

/** The technique of the week: by a drill of it where there is one, on what is there, or in the air. */
function ofTheWeek({ id, name }: NonNullable<PlanWish['technique']>, rules: FloorRules, wish: PlanWish): Candidates {
  const its = wish.drills.filter(({ techniques }) => techniques.includes(id));
  const may = its.filter((drill) => whyNot(drill, wish.who) === null);
  if (its.length > 0 && may.length === 0) {
    return { list: [], leftOut: [{ what: `Technique of the week: ${name}`, why: whyNot(its[0]!, wish.who)! }] };
  }
  const list = (
    may.length === 0 ? [undefined] : [...may].sort((a, b) => a.techniques.indexOf(id) - b.techniques.indexOf(id)).slice(0, 2)
  ).map((drill, place): Candidate => {
    const own = { id: `technique ${place}`, kind: 'technique' as const, technique: id };
    const part = drill
      ? partOfDrill(drill, kitFor(drill, wish.who.kit)!, rules, wish, own)
      : partOf(rules, wish, { ...own, title: name, says: 'Slowly, then at half speed.', recipe: name.toLowerCase(), rung: 1 });
    return {
      part: { ...part, says: `${name}. ${part.says}` },
      worth: place === 0 ? [7, 4] : [6.5, 3.5],
      after: null,
      instead: 'technique',
    };
  });
  return { list, leftOut: [] };
}

/** A round in which nobody says what to throw: on pads, on a bag, in the air. */
function free(rules: FloorRules, wish: PlanWish): Candidate[] {
  const grounds = [kitAtRung(6, wish), kitAtRung(4, wish), 'shadowboxing' as const];
  const there = [...new Set(grounds)].filter((on) => on !== null);
  return there.map((on, place) => ({
    part: partOf(rules, wish, {
      ...{ id: `free ${on}`, kind: 'free', title: on === 'shadowboxing' ? 'Free, in the air' : `Free on the ${on}`, on },
      ...{
        says: 'One to four, then the feet.',
        recipe: 'free, 1 to 4 then move',
        impact: on !== 'shadowboxing',
        cue: 'Form first',
      },
    }),
    worth: [5 - place * 0.5, 2 - place * 0.2],
    after: null,
    instead: 'free',
  }));
}

const warmUpSays: Record<'child' | 'others', string> = {
  child: 'Tag or rope, ankles, hips and shoulders, then slow steps in guard.',
  others: 'Rope or light steps, joints from the ankles up, then slow shadow until warm.',
};

/** Everything that a session could be made of, in the order in which it would be done. */
export function candidatesFor(rules: FloorRules, wish: PlanWish): Candidates {
  const worked = wish.corrections.slice(0, mostWorkedOn).map((one, place) => work(one, place, rules, wish));
  const waits = wish.corrections
    .slice(mostWorkedOn)
    .map((one): LeftOut => ({ what: `${nameOf(one)}, drills`, why: `${mostWorkedOn} corrections at a time; this one waits.` }));
  const technique = wish.technique ? ofTheWeek(wish.technique, rules, wish) : { list: [], leftOut: [] };
  const elsewhere = wish.lookedAtElsewhere ?? [];
  const checked = wish.corrections.filter(({ id }) => !elsewhere.includes(id)).map((one) => recheck(one, rules, wish));
  const ends = (id: 'warm-up' | 'cool-down', says: string, least: number): Candidate => ({
    part: partOf(rules, wish, {
      ...{ id, kind: id, title: id === 'warm-up' ? 'Warm-up' : 'Cool-down', says, work: least, leads: 'usual only' },
      caution: id === 'warm-up' ? 'Whoever has pain, is dizzy or has a headache says so now.' : '',
    }),
    worth: [100],
    after: null,
    instead: null,
  });
  return {
    list: [
      ends('warm-up', warmUpSays[wish.who.ageGroup === 'child' ? 'child' : 'others'], rules.warmUp),
      ...worked.flatMap(({ list }) => list),
      ...technique.list,
      ...free(rules, wish),
      ...checked.flatMap(({ list }) => list),
      ends('cool-down', 'Slow shadow, breath out long, shoulders, hips and calves.', rules.coolDown),
    ],
    leftOut: [...worked, technique, ...checked].flatMap(({ leftOut }) => leftOut).concat(waits),
  };
}
