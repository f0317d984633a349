import type { Family } from '../technique/index.ts';
import type { Ratio } from '../units.ts';

/** A rate as a line of a report: what it is of, drawn with its interval, and in words. */
export interface ReportRate {
  family: Family | null;
  name: string;
  /** “14½ of 24” */
  of: string;
  rate: Ratio;
  low: Ratio;
  high: Ratio;
  /** Whether enough was seen for the rate to say anything. */
  enough: boolean;
  /** Highest share of faults that is good enough, where somebody works on it. */
  aim: Ratio | null;
  says: string;
  /** What all sessions say of it; empty where nothing. */
  level: string;
}

/** How a level went from session to session. */
export interface ReportLevels {
  name: string;
  rung: number;
  aim: Ratio;
  points: { sessionId: string; heldOn: string; faults: number; seen: number; level: Ratio; low: Ratio; high: Ratio }[];
}

/** A part of a report, about something of this family where it is about one thing; what is empty in it is left out. In this order it is read. */
export interface ReportSection {
  heading: string;
  family: Family | null;
  says: string[];
  facts: { name: string; says: string }[];
  rates: ReportRate[];
  levels: ReportLevels[];
  items: string[];
}

/** A report as it is shown, printed and written as a PDF: the same on each. */
export interface Report {
  title: string;
  /** Whom it is about. */
  name: string;
  /** What it covers, in words. */
  covers: string;
  /** The day it was made, YYYY-MM-DD. */
  madeOn: string;
  sections: ReportSection[];
}

/** A section with what it has. */
export const section = (heading: string, has: Partial<Omit<ReportSection, 'heading'>>): ReportSection => ({
  ...{ heading, family: null, says: [], facts: [], rates: [], levels: [], items: [] },
  ...has,
});
/** Whether there is anything in it. */
export const hasContent = ({ says, facts, rates, levels, items }: ReportSection): boolean =>
  [says, facts, rates, levels, items].some((part) => part.length > 0);
