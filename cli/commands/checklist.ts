import {
  checklistFor,
  findInCatalogue,
  measures,
  isMeasureId,
  readySchools,
  shippedCatalogue,
  techniqueIn,
  termOf,
  usualSchool,
  views,
  wholeChecklist,
  bandInWords,
  type View,
} from '@wax-fist/core/technique';
import { Command, Option } from 'commander';
import { printJson } from '../seconds.ts';

/** The technique that somebody means: by id, or the nearest by name. @throws Error with what there is instead */
function techniqueNamed(name: string): string {
  if (shippedCatalogue.techniques.has(name)) return name;
  const found = findInCatalogue(shippedCatalogue, name).filter(({ kind }) => kind === 'technique');
  const [nearest, next] = found;
  if (nearest && nearest.rank < 1 && (!next || next.rank > nearest.rank)) return nearest.id;
  const offered = found.slice(0, 6).map(({ id }) => id);
  throw new Error(`There is no technique “${name}”.${offered.length > 0 ? ` Did you mean ${offered.join(', ')}?` : ''}`);
}

function schoolNamed(name: string | undefined) {
  if (!name) return usualSchool;
  const found = readySchools.find((one) => one.name.toLowerCase() === name.toLowerCase());
  if (!found) throw new Error(`There is no school “${name}”. There are: ${readySchools.map((one) => one.name).join('; ')}.`);
  return found;
}

export const checklistCommand = (): Command =>
  new Command('checklist')
    .description('Print what is looked at in a technique, in walking order. Needs no server.')
    .argument('<technique>', 'its id or one of its names')
    .option('--school <name>', `one that ships: ${readySchools.map(({ name }) => name).join('; ')}`)
    .addOption(new Option('--view <view>', 'tell what can be judged from there').choices([...views]))
    .option('--json', 'print the rows with their bands')
    .action((name: string, options: { school?: string; view?: View; json?: boolean }) => {
      const id = techniqueNamed(name);
      const school = schoolNamed(options.school);
      const { view } = options;
      const rows = view ? checklistFor(shippedCatalogue, id, { school, view }) : wholeChecklist(shippedCatalogue, id, school);
      const told = rows.map(({ checkpoint, band, bandBy, reported, fixed, shown, reason }) => ({
        id: checkpoint.id,
        stop: checkpoint.stop,
        family: checkpoint.family,
        question: checkpoint.question,
        clean: checkpoint.clean,
        faults: checkpoint.faults,
        cue: checkpoint.cues[0],
        severity: checkpoint.severity,
        measure: checkpoint.measure,
        unit: isMeasureId(checkpoint.measure) ? measures[checkpoint.measure].unit : null,
        band: band ?? null,
        bandBy: bandBy ?? null,
        reported,
        faultInEverySchool: fixed !== '',
        shown,
        reason,
      }));
      const title = termOf(school, id) ?? techniqueIn(shippedCatalogue, id).name;
      if (options.json) return printJson({ technique: id, name: title, school: school.name, view: view ?? null, rows: told });
      const lines = told.map(
        ({ stop, question, shown, reason }, place) =>
          `${stop.padEnd(14)}${question}${shown ? '' : `  (${reason})`}${rows[place]!.band ? `  ${bandInWords(rows[place]!.band)}` : ''}`,
      );
      process.stdout.write(`${title}, ${school.name}\n${lines.join('\n')}\n`);
    });
