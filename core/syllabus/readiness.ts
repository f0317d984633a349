import { chanceAtAim, daysToLock, fewestSeen, sureOfAim, rungName, type ClubSpread, type Look } from '../correction/index.ts';
import { daysBetween } from '../days.ts';
import { seen } from '../review/index.ts';
import type { Ratio } from '../units.ts';
import { counted, percent, shortDay } from '../words/index.ts';
import { leadsAsked, setKnownFrom, type Course, type MustHave, type TestLead } from './course.ts';
import { creditsBy, creditsOf } from './credits.ts';
import { earliestLock, type Earliest, type ToLock } from './earliest-lock.ts';

/** How a set went the last time it was thrown. */
export interface SetLook {
  day: string;
  /** How much of it was as planned. */
  score: Ratio;
  attempts: number;
}
/** What is known of a must-have with one foot in front. */
export interface MustHaveLooks {
  /** What was seen at each rung, oldest first. */
  looks: ReadonlyMap<number, readonly Look[]>;
  /** Of its correction; 0 where there is none. */
  lockedUpTo: number;
  /** The rung at which its correction is worked on; null where there is none. */
  worksAt: number | null;
}

/** What is known of somebody on a course. */
export interface Standing {
  today: string;
  /** Days on which they were there since it began. */
  attended: readonly string[];
  /** Of the sessions to come, in order. */
  coming: readonly string[];
  testOn: string | null;
  club: ClubSpread;
  /** Those that were thrown. */
  sets: readonly { setId: string; lead: TestLead; look: SetLook }[];
  /** Every must-have of the course with each foot in front that it asks. */
  mustHaves: readonly (MustHave & MustHaveLooks & { lead: TestLead; name: string })[];
}

export const requirementKinds = ['set', 'must-have', 'credits'] as const;
/** Something that a test asks: what is there of it, what is missing, and when it can be there. */
export interface Requirement {
  kind: (typeof requirementKinds)[number];
  what: string;
  /** Null where it is asked of no foot. */
  lead: TestLead | null;
  met: boolean;
  has: string;
  /** Empty when nothing is. */
  missing: string;
  /** The earliest day on which it can be met; null when nobody can name one, and when it is met. */
  earliest: string | null;
  /** Sessions that it takes until then. */
  sessions: number | null;
  /** Why there is no day, or why the day is too late for the test. */
  remark: string;
}
/** Everything that a test asks of somebody. */
export interface Readiness {
  requirements: Requirement[];
  ready: boolean;
  /** The earliest honest day for the test; null when one of them has none. */
  earliest: string | null;
}

type Told = Pick<Requirement, 'kind' | 'what' | 'lead' | 'has'>;

/** How somebody stands to the test of their course. */
export function readiness(course: Course, standing: Standing): Readiness {
  const { today, testOn } = standing;
  const left = standing.coming.filter((day) => testOn === null || day < testOn);
  const met = (told: Told): Requirement => ({
    ...told,
    ...{ met: true, missing: '', earliest: null, sessions: null, remark: '' },
  });
  const open = (told: Told, missing: string, at: Earliest): Requirement => {
    if ('never' in at) return { ...told, met: false, missing, earliest: null, sessions: null, remark: at.never };
    const late = testOn !== null && at.day >= testOn;
    const remark = late
      ? `Too late for ${shortDay(testOn)}: it takes ${counted(at.sessions, 'session')}, and ${left.length} ${left.length === 1 ? 'is' : 'are'} left before it.`
      : '';
    return { ...told, met: false, missing, earliest: at.day, sessions: at.sessions, remark };
  };
  const leads = leadsAsked(course);
  const next: Earliest = standing.coming[0] ? { day: standing.coming[0], sessions: 1 } : { never: 'No session is to come.' };

  const sets = course.sets.flatMap(({ id, name }) =>
    leads.map((lead) => {
      const look = standing.sets.find((one) => one.setId === id && one.lead === lead)?.look;
      const has = look
        ? `${percent(look.score)} as planned on ${shortDay(look.day)}, ${counted(look.attempts, 'attempt')}`
        : 'Not thrown yet';
      const told = { kind: 'set' as const, what: name, lead: course.bothLeads ? lead : null, has };
      if (look && look.score >= setKnownFrom) return met(told);
      return open(told, look ? `${percent(setKnownFrom)} are asked` : 'To be thrown once, from memory', next);
    }),
  );
  const aim = 1 - course.passMark;
  const mustHaves = standing.mustHaves.map(({ name, lead, rung, ...known }) => {
    const state = lockOf(rung, known, aim, standing.club);
    const told: Told = { kind: 'must-have', what: name, lead: course.bothLeads ? lead : null, has: state.says };
    if (state.locked) return met(told);
    const missing = `Locked at “${rungName(rung)}”, ${percent(course.passMark)} clean`;
    return open(told, missing, earliestLock({ ...state, aim, looks: known.looks }, standing.coming, standing.club));
  });
  const had = creditsOf(standing.attended, course.creditsAWeek);
  const credits: Told = { kind: 'credits', what: 'Credits', lead: null, has: `${had} of ${course.credits}` };
  const requirements = [
    ...sets,
    ...mustHaves,
    had >= course.credits
      ? met(credits)
      : open(
          credits,
          `${course.credits - had} more, of a week ${course.creditsAWeek} at most`,
          creditsBy(course.credits, course.creditsAWeek, standing.attended, standing.coming) ?? {
            never: 'There are too few sessions to come within half a year.',
          },
        ),
  ];
  const missing = requirements.filter((one) => !one.met);
  return {
    requirements,
    ready: missing.length === 0,
    earliest: missing.every(({ earliest }) => earliest !== null)
      ? missing.reduce((last, { earliest }) => (earliest! > last ? earliest! : last), today)
      : null,
  };
}

/** Whether a must-have is locked at its rung or a harder one; if not, which rungs are left, and since when it holds at the first of them. */
function lockOf(
  rung: number,
  { looks, lockedUpTo, worksAt }: MustHaveLooks,
  aim: Ratio,
  club: ClubSpread,
): Pick<ToLock, 'rungs' | 'heldOn'> & { locked: boolean; says: string } {
  const at = (say: number): string => rungName(say).toLowerCase();
  if (lockedUpTo >= rung) return { locked: true, rungs: [], heldOn: null, says: `Locked at “${at(lockedUpTo)}”` };
  const seenAt = [...looks.keys()].filter((one) => looks.get(one)!.length > 0).sort((a, b) => a - b);
  // What nobody corrects has no ladder to climb: it counts from the first rung at which it is asked.
  for (const one of worksAt === null ? seenAt.filter((each) => each >= rung) : []) {
    const since = heldSince(looks.get(one)!, aim, club);
    if (since && daysBetween(since, looks.get(one)!.at(-1)!.heldOn) >= daysToLock)
      return { locked: true, rungs: [], heldOn: null, says: `Held twice at “${at(one)}”` };
  }
  const begins = worksAt !== null ? Math.max(Math.min(worksAt, rung), lockedUpTo + 1) : rung;
  const rungs = Array.from({ length: rung - begins + 1 }, (_, place) => begins + place);
  const heldOn = heldSince(looks.get(begins) ?? [], aim, club) ?? null;
  const highest = seenAt.filter((one) => one <= rung).at(-1);
  const says =
    heldOn !== null
      ? `Holds at “${at(begins)}” since ${shortDay(heldOn)}`
      : lockedUpTo > 0
        ? `Locked at “${at(lockedUpTo)}”`
        : highest !== undefined
          ? `Not sure enough at “${at(highest)}” yet`
          : 'Never looked at';
  return { locked: false, rungs, heldOn, says };
}

/** The first of the last days on which it held, without a day between on which it did not; undefined when it does not hold now. */
function heldSince(looks: readonly Look[], aim: Ratio, club: ClubSpread): string | undefined {
  let since: string | undefined;
  for (let count = looks.length; count > 0; count--) {
    const last = looks[count - 1]!;
    if (seen(last.tally) < fewestSeen || chanceAtAim(looks.slice(0, count), club, aim) < sureOfAim) break;
    since = last.heldOn;
  }
  return since;
}
