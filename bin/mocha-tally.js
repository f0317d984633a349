import { appendFileSync } from 'node:fs';
import mocha from 'mocha';

/** The usual listing, and one line “passed failed” into the file that bin/test adds up. */
export default class Tally extends mocha.reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    runner.once('end', () => {
      const { passes, failures } = this.stats;
      if (process.env.WAX_TALLY) appendFileSync(process.env.WAX_TALLY, `${passes} ${failures}\n`);
    });
  }
}
