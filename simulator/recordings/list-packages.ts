import { packagesFor, uses } from './sources.ts';

const wanted = uses.filter((use) => process.argv.includes(use));
process.stdout.write(`${packagesFor(wanted).join('\n')}\n`);
