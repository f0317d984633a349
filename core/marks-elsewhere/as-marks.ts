import { frameNearest, timeOf, type FrameTimeline } from '../film/index.ts';
import type { Verdict } from '../review/index.ts';
import { guessedMoments, type StrikeMoments, type UsualTimes } from '../strikes/index.ts';
import { findInCatalogue, type Catalogue, type School } from '../technique/index.ts';
import type { FrameIndex, Ms } from '../units.ts';
import type { SaidElsewhere, Unreadable } from './said-elsewhere.ts';

/** A strike that a file tells, as this club says it. */
export interface StrikeElsewhere extends StrikeMoments {
  technique: string;
  /** A strike of the film that is the same one; its moments stay as they are. */
  strikeId: string | undefined;
  verdicts: { checkpointId: string; verdict: Verdict; note: string | null; place: number }[];
}

/** The film that it is of. */
export interface FilmElsewhere {
  catalogue: Catalogue;
  school: School;
  timeline: FrameTimeline;
  /** Strikes that it has already, with what is said of them. */
  strikes: readonly KnownStrike[];
}
/** A strike that a film has. */
export interface KnownStrike {
  strikeId: string;
  technique: string;
  contactFrame: FrameIndex;
  verdicts: readonly { checkpointId: string; verdict: Verdict; note: string | null }[];
}

/** Names are met by what they are called; what is met by a few of its words only is not surely meant. */
const surelyMeant = 1;
/** Two that land as near to each other are one and the same strike. */
const same: Ms = 120;

function named(catalogue: Catalogue, school: School, kind: 'technique' | 'checkpoint', text: string): string | undefined {
  const all = kind === 'technique' ? catalogue.techniques : catalogue.checkpoints;
  if (all.has(text)) return text;
  const found = findInCatalogue(catalogue, text, school).find((one) => one.kind === kind);
  return found && found.rank < surelyMeant ? found.id : undefined;
}

/**
 * What a file says, as strikes of a film with their verdicts, in the order in which they land. Words about one strike of one technique
 * are put together; one that the film has already is that one, and what is said of it already is not said again.
 */
export function strikesElsewhere(
  said: readonly SaidElsewhere[],
  { catalogue, school, timeline, strikes }: FilmElsewhere,
): { strikes: StrikeElsewhere[]; problems: Unreadable[] } {
  const problems: Unreadable[] = [];
  const all: StrikeElsewhere[] = [];
  const end = timeOf(timeline, timeline.length - 1);
  const near = (one: number, other: number): boolean => Math.abs(timeOf(timeline, one) - timeOf(timeline, other)) <= same;
  for (const one of said) {
    const wrong = (says: string): void => void problems.push({ place: one.place, says });
    const technique = named(catalogue, school, 'technique', one.technique);
    if (technique === undefined) {
      wrong(`“${one.technique}” is no technique of this club’s checklists.`);
      continue;
    }
    const contact = contactOf(one, catalogue.techniques.get(technique)!);
    if (contact > end + same) {
      wrong('The film has ended by then.');
      continue;
    }
    const checkpointId = one.checkpoint === undefined ? undefined : named(catalogue, school, 'checkpoint', one.checkpoint);
    if (one.checkpoint !== undefined && checkpointId === undefined) {
      wrong(`“${one.checkpoint}” is no checkpoint of this club’s checklists.`);
      continue;
    }
    const contactFrame = frameNearest(timeline, contact);
    let strike = all.find((other) => other.technique === technique && near(other.contactFrame, contactFrame));
    if (!strike) {
      const here = strikes.find((other) => other.technique === technique && near(other.contactFrame, contactFrame));
      strike = {
        technique,
        strikeId: here?.strikeId,
        ...momentsOf(one, catalogue.techniques.get(technique)!, timeline, contactFrame),
        verdicts: [],
      };
      if (here) strike.contactFrame = here.contactFrame;
      all.push(strike);
    }
    if (checkpointId === undefined || one.verdict === undefined) continue;
    const { verdicts, strikeId } = strike;
    const note = one.note ?? null;
    const stands = strikes
      .find((other) => other.strikeId === strikeId)
      ?.verdicts.some((said) => said.checkpointId === checkpointId && said.verdict === one.verdict && said.note === note);
    if (stands) continue;
    if (verdicts.some((other) => other.checkpointId === checkpointId))
      wrong('This checkpoint of this strike is judged above already.');
    else verdicts.push({ checkpointId, verdict: one.verdict, note, place: one.place });
  }
  return { strikes: all.sort((a, b) => a.contactFrame - b.contactFrame), problems: problems.sort((a, b) => a.place - b.place) };
}

/** When it lands; where only launch and home are told, as far between them as is usual. */
const contactOf = ({ contact, launch = 0, home = 0 }: SaidElsewhere, { usualOut, usualReturn }: UsualTimes): Ms =>
  contact ?? launch + ((home - launch) * usualOut) / (usualOut + usualReturn || 1);

/** Its moments as they are told; what is not told is guessed. */
function momentsOf(
  { contact, launch, home }: SaidElsewhere,
  usual: UsualTimes,
  timeline: FrameTimeline,
  contactFrame: number,
): StrikeMoments {
  const guess = guessedMoments(timeline, usual, contactFrame, 'set');
  const launchFrame = launch === undefined ? guess.launchFrame : Math.min(contactFrame, frameNearest(timeline, launch));
  const homeFrame = home === undefined ? guess.homeFrame : Math.max(contactFrame, frameNearest(timeline, home));
  return {
    ...{ launchFrame, contactFrame, homeFrame },
    launchOrigin: launch === undefined ? 'guessed' : 'set',
    contactOrigin: contact === undefined ? 'guessed' : 'set',
    homeOrigin: home === undefined ? 'guessed' : 'set',
  };
}
