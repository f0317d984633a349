import { matchCalls } from '../calls/index.ts';
import { fewestSeen } from '../correction/index.ts';
import type { CheckpointId, TechniqueId } from '../technique/index.ts';
import { counted, percent } from '../words/index.ts';
import { leadsAsked, setKnownFrom, type Course, type TestLead } from './course.ts';

/** A set as it was thrown at a test. */
export interface TriedSet {
  setId: string;
  lead: TestLead;
  /** In the order in which it came. */
  thrown: readonly TechniqueId[];
  saidAloud: boolean;
}
/** Strikes of a must-have as they were counted at a test. */
export interface CountedMustHave {
  technique: TechniqueId;
  checkpointId: CheckpointId;
  lead: TestLead;
  clean: number;
  fault: number;
}
/** What was seen at a test. */
export interface TestSheet {
  sets: readonly TriedSet[];
  mustHaves: readonly CountedMustHave[];
}

/** One thing that a test asks, and how it went. */
export interface TestLine {
  what: string;
  lead: TestLead | null;
  /** Undefined when it was not seen yet. */
  passed: boolean | undefined;
  says: string;
}
export interface TestResult {
  lines: TestLine[];
  /** Whether everything is passed; undefined when something was not seen, and nothing failed. */
  passed: boolean | undefined;
}

export interface TestAsked {
  /** What a set asks to be thrown. */
  plannedOf: (setId: string) => readonly TechniqueId[];
  nameOf: (mustHave: { technique: TechniqueId; checkpointId: CheckpointId }) => string;
  credits: number;
}

/** What a sheet comes to: set by set, must-have by must-have, each with either foot in front where it is asked. */
export function testResult(course: Course, sheet: TestSheet, { plannedOf, nameOf, credits }: TestAsked): TestResult {
  const leads = leadsAsked(course);
  const told = (lead: TestLead): TestLead | null => (course.bothLeads ? lead : null);
  const sets = course.sets.flatMap(({ id, name }) =>
    leads.map((lead): TestLine => {
      const tried = sheet.sets.find((one) => one.setId === id && one.lead === lead);
      const line = { what: name, lead: told(lead) };
      if (!tried) return { ...line, passed: undefined, says: 'Not thrown yet' };
      const { score } = matchCalls(plannedOf(id), tried.thrown);
      const known = score >= setKnownFrom;
      const order = known && score === 1 ? 'complete and in order' : `${percent(score)} as it should be`;
      return { ...line, passed: known && tried.saidAloud, says: `${order}, ${tried.saidAloud ? '' : 'not '}said aloud` };
    }),
  );
  const mustHaves = course.mustHaves.flatMap(({ technique, checkpointId }) =>
    leads.map((lead): TestLine => {
      const one = sheet.mustHaves.find(
        (each) => each.technique === technique && each.checkpointId === checkpointId && each.lead === lead,
      );
      const line = { what: nameOf({ technique, checkpointId }), lead: told(lead) };
      const all = one ? one.clean + one.fault : 0;
      if (!one || all === 0) return { ...line, passed: undefined, says: 'Not seen yet' };
      const says = `${one.clean} of ${all} clean, ${percent(one.clean / all)}`;
      // With so few the pass mark could be met by chance; it is not failed either.
      if (all < fewestSeen)
        return { ...line, passed: undefined, says: `${says}; ${counted(fewestSeen - all, 'more strike')} to see` };
      return { ...line, passed: one.clean / all >= course.passMark, says };
    }),
  );
  const lines = [
    ...sets,
    ...mustHaves,
    { what: 'Credits', lead: null, passed: credits >= course.credits, says: `${credits} of ${course.credits}` },
  ];
  const failed = lines.some(({ passed }) => passed === false);
  return { lines, passed: failed ? false : lines.every(({ passed }) => passed) ? true : undefined };
}
