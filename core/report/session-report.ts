import { rungName } from '../correction/index.ts';
import type { Together } from '../correction/index.ts';
import { viewNames, techniqueName, type Catalogue, type View } from '../technique/index.ts';
import type { Ms } from '../units.ts';
import {
  counted,
  eventInWords,
  faultsOfSeen,
  minutes,
  levelInWords,
  percent,
  settlingInWords,
  thenAndNow,
  wholeDay,
} from '../words/index.ts';
import { changeNames, faultRate, isAbout } from '../correction/index.ts';
import { cautionsOf } from './cautions.ts';
import { whatNext, type AskedNext, type StandingInReport } from './next.ts';
import { rateRow, strengthsOf, type AnswerInReport, type JudgedInReport } from './rates.ts';
import { hasContent, section, type Report } from './report.ts';

/** A film, as far as a report tells of it. */
export interface FilmInReport {
  view: View;
  duration: Ms | null;
  rounds: number;
  strikes: number;
  done: boolean;
}

/** Everything that a session says. */
export interface SessionInReport {
  id: string;
  heldOn: string;
  madeOn: string;
  traineeName: string;
  grade: string;
  child: boolean;
  roundKind: string;
  rung: number;
  place: string;
  kit: string;
  holderName: string | null;
  schoolName: string;
  schoolNote: string;
  checklistVersion: number;
  catalogue: Catalogue;
  films: readonly FilmInReport[];
  /** Who has judged, and how many verdicts there are. */
  judges: readonly string[];
  verdicts: number;
  judged: readonly JudgedInReport[];
  answers: readonly (AnswerInReport & { fell: number; settling: { sessions: number; strikes: number } | null })[];
  corrections: readonly (StandingInReport & { openedOn: string; openedIn: string })[];
  /** What coaches have typed about it, or about its strikes. */
  notes: readonly { text: string; technique: string | null; saidBy: string }[];
  together: readonly Together[];
  order: AskedNext['order'];
}

const filmInWords = ({ view, duration, rounds, strikes, done }: FilmInReport): string =>
  [
    viewNames[view],
    duration === null ? 'still being read' : `${minutes(duration)} long`,
    rounds > 0 && counted(rounds, 'round'),
    counted(strikes, 'strike'),
    !done && 'review not finished',
  ]
    .filter(Boolean)
    .join(', ');

/** What a session answers to what was being worked on, a line each. */
function answersIn({ id, catalogue, corrections, answers, judged }: SessionInReport): string[] {
  return corrections.map((one) => {
    const about = isAbout(one);
    const seen = judged.find(about);
    const answer = answers.find(about);
    const what = `“${one.cue}” (${techniqueName(catalogue, one.technique)}, aim at most ${percent(one.target)})`;
    if (!seen) return `${what}: not judged in this session.`;
    const of = `${faultsOfSeen(faultRate(seen.tally))} were faults`;
    if (!answer?.change) return `${what}: ${of}; ${one.openedIn === id ? 'opened here' : 'nothing to hold it against yet'}.`;
    const { then, now } = thenAndNow(answer);
    return [
      `${what}: ${changeNames[answer.change].toLowerCase()}.`,
      `Level ${levelInWords(now)}${then ? `, ${levelInWords(then)} on ${wholeDay(then.heldOn)}` : ''}; ${of} today.`,
      `${percent(answer.atAim)} sure that it is at the aim.`,
      answer.settling && `${settlingInWords(answer.settling)}.`,
    ]
      .filter(Boolean)
      .join(' ');
  });
}

/** What happened to corrections in this session. */
const workedOn = ({ id, corrections }: SessionInReport): string[] =>
  corrections.flatMap(({ cue, history }) =>
    history
      .filter(({ sessionId }) => sessionId === id)
      .map(
        ({ kind, rung, note }) =>
          `“${cue}”: ${eventInWords({ kind, rung }).toLowerCase()}${note ? `: ${note.replace(/\.$/, '')}` : ''}.`,
      ),
  );

/** The report of one session. */
export function sessionReport(one: SessionInReport): Report {
  const { catalogue, judged } = one;
  const open = one.corrections.filter(({ state, openedOn }) => state !== 'closed' && openedOn <= one.heldOn);
  const techniques = [...new Set(judged.map(({ technique }) => technique))];
  const told = { answers: one.answers, corrections: open };
  const facts = [
    { name: 'Day', says: wholeDay(one.heldOn) },
    { name: 'On', says: `${one.roundKind}, rung ${one.rung}: ${rungName(one.rung).toLowerCase()}` },
    { name: 'Place', says: one.place },
    { name: 'Kit', says: one.kit },
    { name: 'Pads held by', says: one.holderName ?? '' },
    {
      name: 'Judged by',
      says: `${one.schoolName}, checklists ${one.checklistVersion}${one.judges.length > 0 ? `; ${one.judges.join(', ')}` : ''}`,
    },
    { name: 'Said', says: counted(one.verdicts, 'verdict') },
    { name: 'School’s note', says: one.schoolNote },
  ].filter(({ says }) => says !== '');
  return {
    title: 'Session report',
    name: one.traineeName,
    covers: wholeDay(one.heldOn),
    madeOn: one.madeOn,
    sections: [
      section('What was filmed', {
        facts,
        items: one.films.map(filmInWords),
        says: one.films.length === 0 ? ['Nothing was filmed.'] : [],
      }),
      section('What it answers', { items: answersIn({ ...one, corrections: open }) }),
      ...techniques.map((technique) =>
        section(techniqueName(catalogue, technique), {
          rates: judged
            .filter((row) => row.technique === technique)
            .map((row) => rateRow(catalogue, row, told, false))
            .sort((a, b) => b.low - a.low || b.rate - a.rate),
        }),
      ),
      section('What was worked on', { items: workedOn(one) }),
      section('Notes', {
        items: one.notes.map(({ text, technique, saidBy }) =>
          [technique && `On a ${techniqueName(catalogue, technique).toLowerCase()}:`, text, `(${saidBy})`]
            .filter(Boolean)
            .join(' '),
        ),
      }),
      section('Strengths', { items: strengthsOf(catalogue, judged) }),
      whatNext({ ...one, corrections: open }),
      section('Mind this', { items: cautionsOf(catalogue, judged, one.child) }),
    ].filter(hasContent),
  };
}
