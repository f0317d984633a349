import { callsOf, sayInNumbers, sayInWords, sayWithHands, withoutNumber } from '@wax-fist/core/calls';
import { shippedCatalogue, stances, type Stance } from '@wax-fist/core/technique';
import { Command, Option } from 'commander';
import { bookNames, books, readCombination } from '../combination.ts';
import { printJson } from '../seconds.ts';

export const callCommand = (): Command =>
  new Command('call')
    .description('Read a combination and say it in another way. Needs no server.')
    .argument('<combination>', 'such as "1-2b-(3-2)x2" or "jab, cross, weave"')
    .addOption(new Option('--book <book>', 'the numbers it is written in').choices(bookNames).default('six'))
    .addOption(
      new Option('--to <way>', 'numbers of a book, words, or with the hands of the other lead')
        .choices([...bookNames, 'words', 'mirror'])
        .default('words'),
    )
    .addOption(new Option('--stance <stance>', 'what left and right mean').choices([...stances]).default('orthodox'))
    .option('--json', 'print {"said", "techniques", "withoutNumber"}')
    .action((text: string, { book, to, stance, json }: { book: string; to: string; stance: Stance; json?: boolean }) => {
      const combination = readCombination(text, book, stance);
      const other: Stance = stance === 'orthodox' ? 'southpaw' : 'orthodox';
      const target = books[to];
      const said = target
        ? sayInNumbers(combination, target, shippedCatalogue)
        : to === 'mirror'
          ? sayWithHands(combination, shippedCatalogue, other)
          : sayInWords(combination, shippedCatalogue);
      const missing = target ? withoutNumber(combination, target, shippedCatalogue) : [];
      if (json)
        return printJson({ said, techniques: callsOf(combination).map(({ technique }) => technique), withoutNumber: missing });
      process.stdout.write(`${said}\n`);
      if (missing.length > 0) process.stderr.write(`${target!.name} has no number for: ${missing.join(', ')}.\n`);
    });
