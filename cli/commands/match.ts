import { matchCalls, techniquesOf } from '@wax-fist/core/calls';
import { Command, Option } from 'commander';
import { bookNames, readCombination } from '../combination.ts';
import { printJson, rounded } from '../seconds.ts';

export const matchCommand = (): Command =>
  new Command('match')
    .description('Hold what was thrown against what was planned. Needs no server.')
    .requiredOption('--planned <combination>', 'what was called or planned')
    .requiredOption('--seen <combination>', 'what was thrown')
    .addOption(new Option('--book <book>', 'the numbers both are written in').choices(bookNames).default('six'))
    .option('--json', 'print {"score", "steps": [{"kind", "planned", "seen"}]}')
    .addHelpText('after', '\nplanned, seen: places from 0, two of each where neighbours are swapped.')
    .action(({ planned: plan, seen: thrown, book, json }: { planned: string; seen: string; book: string; json?: boolean }) => {
      const [planned, seen] = [plan, thrown].map((text) => techniquesOf(readCombination(text, book))) as [string[], string[]];
      const { score, steps } = matchCalls(planned, seen);
      const named = steps.map((step) => ({
        ...step,
        ...('planned' in step && { plannedTechnique: [step.planned].flat().map((place) => planned[place]) }),
        ...('seen' in step && { seenTechnique: [step.seen].flat().map((place) => seen[place]) }),
      }));
      if (json) return printJson({ score: rounded(score, 4), steps: named });
      for (const { kind, plannedTechnique, seenTechnique } of named) {
        process.stdout.write(
          `${kind.padEnd(12)}${(plannedTechnique ?? ['']).join(', ').padEnd(24)}${(seenTechnique ?? []).join(', ')}\n`,
        );
      }
      process.stdout.write(`${Math.round(score * 100)}% as planned\n`);
    });
