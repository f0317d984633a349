import { appendFileSync } from 'node:fs';
import mocha from 'mocha';

/** The usual listing; besides, for bin/test, one line “passed failed”, what each test took, and what failed. */
export default class Tally extends mocha.reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    const { WAX_TALLY: tally, WAX_TIMES: times, WAX_FAILURES: failures } = process.env;
    if (times) runner.on('pass', (test) => appendFileSync(times, `${test.duration}\t${test.fullTitle()}\n`));
    if (failures) runner.on('fail', (test, error) => appendFileSync(failures, `✖ ${test.fullTitle()}\n${error.stack}\n`));
    if (tally) runner.once('end', () => appendFileSync(tally, `${this.stats.passes} ${this.stats.failures}\n`));
  }
}
