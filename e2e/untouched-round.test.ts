import type { Review } from '@wax-fist/contract/review';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { allSaved, press, signedIn } from './coach.ts';
import { demoFilmId, trueStrikes } from './demo-truth.ts';
import { expectNoProblems } from './running-club.ts';

const film = 'sunniva-pads-lead-side';
/** A tag this many frames from the truth is of that strike. */
const reach = 5;

/** The review that all of this is for: a round of pads that nobody has touched, from the first key to the last. */
describe('a round that nobody has touched', function () {
  this.timeout(300_000);
  let page: Page;
  let keys = 0;
  const hit = async (list: string): Promise<void> => {
    keys += await press(page, list);
  };
  before(async () => (page = await signedIn()));
  after(() => page.context().close());
  expectNoProblems();

  const bar = () => page.getByRole('region', { name: 'Strikes that were found' });
  const review = async (): Promise<Review> =>
    (await (await page.request.get(`/api/films/${await demoFilmId(film)}/review`)).json()) as Review;
  /** What the server knows of the film's strikes, in order of time. */
  const told = async (): Promise<Review['strikes']> =>
    (await review()).strikes.filter(({ removed }) => !removed).sort((a, b) => a.contactFrame - b.contactFrame);
  const truth = trueStrikes(film);

  it('is taken over by one key, and what is unsure by one key each', async () => {
    await page.goto(`/review/${await demoFilmId(film)}`);
    await bar().getByText('found and named').waitFor();
    await hit('n');
    await page.getByText(/strikes taken over/).waitFor();
    while ((await bar().count()) > 0) {
      if (keys > truth.length / 2) throw new Error('What is unsure never ends.');
      const asked = await page.locator('.stage canvas').getAttribute('data-frame');
      await hit('n');
      await page.locator(`.stage canvas:not([data-frame="${asked}"])`).or(bar()).first().waitFor({ state: 'attached' });
    }
    await allSaved(page);
  });

  it('has the strikes that were thrown, by their names', async () => {
    const tags = await told();
    const there = truth.map((strike) => tags.filter(({ contactFrame }) => Math.abs(contactFrame - strike.contact) <= reach));
    const missed = there.filter((some) => some.length === 0).length;
    const named = truth.filter(({ technique }, place) => there[place]!.some((one) => one.technique === technique)).length;
    const madeUp = tags.length - (truth.length - missed);
    process.stdout.write(
      `      ${truth.length} strikes: ${missed} missed, ${madeUp} made up, ${truth.length - missed - named} misnamed\n`,
    );
    expect(missed / truth.length).to.be.below(0.05);
    expect(madeUp / truth.length).to.be.below(0.05);
    expect(named / truth.length).to.be.above(0.9);
  });

  it('is judged strike by strike as it is proposed, with hardly more than one key a strike', async () => {
    const tags = await told();
    await page.goto(`/review/${await demoFilmId(film)}/${tags[0]!.strikeId}`);
    await page.locator('.stage canvas:not([data-frame="-1"])').waitFor();
    for (const [place, { strikeId }] of tags.entries()) {
      await page.waitForURL(`**/${strikeId}`);
      await hit('r');
      const next = tags[place + 1];
      if (next) await page.waitForURL(`**/${next.strikeId}`);
    }
    await allSaved(page);
    await hit('Control+Enter');
    await page.waitForURL(/\/sessions\//);
    const each = keys / truth.length;
    process.stdout.write(
      `      ${keys} keys, ${each.toFixed(2)} a strike; ${((keys * 1.5) / 60).toFixed(1)} minutes at one in 1.5 s\n`,
    );
    expect(each).to.be.at.most(2.5);
    expect((keys * 1.5) / 60).to.be.at.most(10);
  });

  it('comes to the rates that are true', async () => {
    const { strikes, observations } = await review();
    const faults = new Map(truth.map((strike) => [strike.contact, strike.faults]));
    const rates = new Map<string, { told: number; true: number; seen: number }>();
    for (const { strikeId, checkpointId, verdict } of observations) {
      const strike = strikes.find((one) => one.strikeId === strikeId)!;
      const contact = truth.find((one) => Math.abs(one.contact - strike.contactFrame) <= reach)?.contact;
      if (contact === undefined || verdict === 'cant-see' || !verdict) continue;
      const about = `${strike.technique} ${checkpointId}`;
      const rate = rates.get(about) ?? { told: 0, true: 0, seen: 0 };
      rate.told += verdict === 'fault' ? 1 : verdict === 'watch' ? 0.5 : 0;
      rate.true += faults.get(contact)!.includes(checkpointId) ? 1 : 0;
      rate.seen++;
      rates.set(about, rate);
    }
    const off = [...rates].map(([about, rate]) => ({ about, ...rate, by: Math.abs(rate.told - rate.true) / rate.seen }));
    for (const one of off.filter(({ by }) => by > 0.05))
      process.stdout.write(`      ${one.about}: told ${one.told} of ${one.seen}, true ${one.true}\n`);
    const mean = off.reduce((sum, { by }) => sum + by, 0) / off.length;
    process.stdout.write(`      ${off.length} rates, off by ${(100 * mean).toFixed(1)}% on the average\n`);
    expect(mean).to.be.below(0.1);
  });
});
