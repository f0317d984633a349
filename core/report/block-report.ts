import { daysBetween } from '../days.ts';
import { changeNames, correctionStateNames, isAbout, isLadderStep, rungName, type Together } from '../correction/index.ts';
import { seen, weightedFaults } from '../review/index.ts';
import { checkpointName, techniqueName, type Catalogue } from '../technique/index.ts';
import { counted, drillInWords, levelInWords, percent, wholeDay } from '../words/index.ts';
import { cautionsOf } from './cautions.ts';
import { whatNext, type AskedNext, type StandingInReport } from './next.ts';
import { rateRow, strengthsOf, type AnswerInReport, type JudgedInReport } from './rates.ts';
import { hasContent, section, type Report, type ReportLevels } from './report.ts';

/** A session of a block, in a line. */
export interface SessionOfBlock {
  heldOn: string;
  roundKind: string;
  rung: number;
  films: number;
  strikes: number;
  verdicts: number;
  schoolName: string;
}

/** Everything that some weeks say of a trainee. */
export interface BlockInReport {
  traineeName: string;
  grade: string;
  child: boolean;
  from: string;
  to: string;
  madeOn: string;
  catalogue: Catalogue;
  sessions: readonly SessionOfBlock[];
  /** All that was judged in them, counted together. */
  judged: readonly JudgedInReport[];
  /** Every rung at which something was looked at, oldest level first. */
  answers: readonly AnswerInReport[];
  corrections: readonly (StandingInReport & { openedOn: string })[];
  together: readonly Together[];
  order: AskedNext['order'];
}

/** One level is no way. */
const fewestLevels = 2;

/** How the level of something that is worked on went within the block, at each rung. */
function waysOf({ answers, from, to }: BlockInReport, one: StandingInReport): ReportLevels[] {
  return answers.filter(isAbout(one)).flatMap((answer) => {
    const points = answer.levels.filter(({ heldOn }) => heldOn >= from && heldOn <= to);
    return points.length < fewestLevels
      ? []
      : [
          {
            name: rungName(answer.rung),
            rung: answer.rung,
            aim: one.target,
            points: points.map(({ tally, ...level }) => ({ ...level, faults: weightedFaults(tally), seen: seen(tally) })),
          },
        ];
  });
}

/** What became of something in the block. */
function became({ catalogue, answers, from, to }: BlockInReport, one: StandingInReport & { openedOn: string }): string {
  const steps = one.history.flatMap(({ at, kind, rung }) => {
    const day = at.slice(0, 10);
    return day >= from && day <= to && isLadderStep(kind)
      ? [`${correctionStateNames[kind]}${rung === null ? '' : ` at “${rungName(rung).toLowerCase()}”`} on ${wholeDay(day)}.`]
      : [];
  });
  const answer = answers.filter(isAbout(one)).find(({ rung }) => rung === one.rung);
  const now = answer?.levels.findLast(({ heldOn }) => heldOn <= to);
  const drill = drillInWords(one);
  return [
    `${techniqueName(catalogue, one.technique)}, ${checkpointName(catalogue, one.checkpointId).toLowerCase()}.`,
    one.openedOn >= from ? `Opened on ${wholeDay(one.openedOn)}.` : `Worked on since ${wholeDay(one.openedOn)}.`,
    ...steps,
    now && `Level ${levelInWords(now)}, aim at most ${percent(one.target)}.`,
    answer?.change && `Since the opening: ${changeNames[answer.change].toLowerCase()}.`,
    drill && `Drill: ${drill}.`,
  ]
    .filter(Boolean)
    .join(' ');
}

/** The report of some weeks. */
export function blockReport(block: BlockInReport): Report {
  const { catalogue, judged, sessions, from, to } = block;
  const about = block.corrections.filter(
    ({ state, openedOn, history }) => openedOn <= to && (state !== 'closed' || history.some(({ at }) => at.slice(0, 10) >= from)),
  );
  const open = about.filter(({ state }) => state !== 'closed');
  const told = { answers: [], corrections: open };
  const weeks = Math.max(1, Math.round((daysBetween(from, to) + 1) / 7));
  return {
    title: 'Block report',
    name: block.traineeName,
    covers: `${wholeDay(from)} to ${wholeDay(to)}, ${counted(weeks, 'week')}`,
    madeOn: block.madeOn,
    sections: [
      section('What was filmed', {
        says:
          sessions.length === 0
            ? ['Nothing was filmed in these weeks.']
            : [
                `${counted(sessions.length, 'session')}, ${counted(
                  sessions.reduce((sum, one) => sum + one.strikes, 0),
                  'strike',
                )}, judged by ${[...new Set(sessions.map((one) => one.schoolName))].join(', ')}.`,
              ],
        items: sessions.map(
          ({ heldOn, roundKind, rung, films, strikes, verdicts }) =>
            `${wholeDay(heldOn)}: ${roundKind}, rung ${rung} (${rungName(rung).toLowerCase()}); ${counted(films, 'film')}, ${counted(strikes, 'strike')}, ${counted(verdicts, 'verdict')}.`,
        ),
      }),
      ...about.map((one) =>
        section(`“${one.cue}”`, {
          family: catalogue.checkpoints.get(one.checkpointId)?.family ?? null,
          says: [became(block, one)],
          levels: waysOf(block, one),
        }),
      ),
      section('What was judged', {
        rates: judged.map((row) => rateRow(catalogue, row, told, true)).sort((a, b) => b.low - a.low || b.rate - a.rate),
      }),
      section('Strengths', { items: strengthsOf(catalogue, judged) }),
      whatNext({ ...block, corrections: open }),
      section('Mind this', { items: cautionsOf(catalogue, judged, block.child) }),
    ].filter(hasContent),
  };
}
