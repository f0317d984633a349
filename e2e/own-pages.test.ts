import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { eq } from 'drizzle-orm';
import { plan, trainee, trainingSession } from '../server/db/schema/index.ts';
import { dayBefore, signedIn, signedInAs } from './coach.ts';
import { accessible, looked } from './looked.ts';
import { expectNoProblems, runningClub } from './running-club.ts';
import { soon } from './soon.ts';

const phone = { width: 390, height: 844 };

describe('own pages of a trainee, on a phone', function () {
  this.timeout(120_000);
  let coach: Page;
  let maren: Page;
  let traineeId: string;
  let sessionId: string;
  before(async () => {
    const { db } = await runningClub();
    const people = await db.select().from(trainee);
    traineeId = people.find(({ name }) => name.startsWith('Maren'))!.id;
    const sessions = await db.select().from(trainingSession).where(eq(trainingSession.traineeId, traineeId));
    sessionId = sessions.find(({ releasedAt }) => releasedAt === null)!.id;
    await db.insert(plan).values({
      ...{ id: '01990000-0000-7000-8000-00000000aaaa', traineeId, plannedOn: dayBefore(0), length: 600, impact: 0 },
      says: {
        ...{ change: 0, kit: ['shadowboxing'], holder: false, partner: false, leads: 'usual only', technique: null, leftOut: [] },
        parts: [
          {
            ...{ id: '01990000-0000-7000-8000-00000000bbbb', kind: 'low', title: 'Touch home, slowly', on: 'shadowboxing' },
            ...{ says: 'Each hand back to the cheek.', cue: 'Touch home', rounds: 1, work: 30, rest: 0, impact: false, rung: 1 },
            ...{ leads: 'usual only', caution: '', recipe: null, shot: null, drillId: null, correctionId: null },
            ...{ technique: null, checkpointId: null },
          },
        ],
      } as unknown as typeof plan.$inferInsert.says,
    });
    coach = await signedIn();
    maren = await signedInAs('maren@boathouse.example');
    await maren.setViewportSize(phone);
  });
  after(async () => {
    await coach.context().close();
    await maren.context().close();
  });
  expectNoProblems();

  const fits = async (what: string): Promise<void> => {
    await maren.waitForLoadState('networkidle');
    await accessible(maren, what);
    await soon(async () => expect(await looked(maren, 44)).to.deep.equal({ wider: 0, wide: [], small: [] }));
  };
  const reviews = (): ReturnType<Page['getByRole']> => maren.getByRole('link', { name: 'Look at it' });

  it('show what was released, and one more once the coach releases it', async () => {
    await maren.waitForURL('**/own');
    await reviews().first().waitFor();
    await fits('home');
    const before = await reviews().count();
    await coach.goto(`/sessions/${sessionId}`);
    await coach.getByRole('button', { name: 'Release', exact: true }).click();
    await coach.getByRole('menuitemradio', { name: 'Maren Lysvik' }).click();
    await coach.getByText('Maren Lysvik sees this review now.').waitFor();
    await maren.reload();
    await soon(async () => expect(await reviews().count()).to.equal(before + 1));
  });

  it('play a film from the strike that is touched, with what to change about it', async () => {
    await maren.goto(`/own/sessions/${sessionId}`);
    await maren.getByText('Only what to change').first().click();
    const strike = maren.getByRole('button', { name: /to change: return line/ }).first();
    await strike.click();
    await maren.getByText('“Touch home”').first().waitFor();
    const video = maren.locator('video').first();
    await soon(async () => expect(await video.evaluate((one: HTMLVideoElement) => one.currentTime)).to.be.above(0));
    await video.evaluate((one: HTMLVideoElement) => one.pause());
    await fits('a review');
    await maren.getByRole('link', { name: 'Report' }).click();
    await maren.locator('.report').waitFor();
    await fits('a report');
  });

  it('have the card of what they work on', async () => {
    await maren.goto('/own');
    await maren.getByRole('link', { name: 'Card' }).click();
    await maren.locator('.card').getByText('Touch home').waitFor();
    await fits('a card');
  });

  it('run what is planned for them by the clock, and have it written down', async () => {
    await maren.goto('/own');
    await maren.getByRole('link', { name: 'Train', exact: true }).click();
    await maren.getByText('Each hand back to the cheek.').waitFor();
    await fits('a plan');
    await maren.getByRole('link', { name: 'Start' }).click();
    await maren.getByRole('button', { name: 'Start' }).click();
    await maren.getByText('Get ready').or(maren.getByText('Work')).first().waitFor();
    for (let skips = 0; skips < 6 && !(await maren.getByText('All done').isVisible()); skips++) {
      await maren.keyboard.press('ArrowRight');
      await maren.waitForTimeout(200);
    }
    await maren.getByRole('button', { name: /Write it down/ }).click();
    await maren.waitForURL('**/own/plans/*');
    await maren.getByText(/Done on/).waitFor();
  });

  it('show what others let everybody of the club see, without their figures', async () => {
    await maren.goto('/own');
    const shown = maren.getByRole('region', { name: 'Shown to the club' });
    await shown.getByText('Juno Perrault').waitFor();
    await shown.getByRole('link', { name: 'Look at it' }).click();
    await maren.getByText('Juno Perrault shows this to everybody of the club').waitFor();
    await maren.locator('video').first().waitFor();
    expect(await maren.getByRole('link', { name: 'Report' }).count()).to.equal(0);
    await fits('a review of somebody else');
  });

  it('lead nowhere else: pages of the club are home, or the same in their own', async () => {
    for (const path of ['/', '/trainees', `/trainees/${traineeId}`, '/checklists', '/floor', '/archives']) {
      await maren.goto(path);
      await maren.waitForURL('**/own');
    }
    await maren.goto(`/sessions/${sessionId}`);
    await maren.waitForURL(`**/own/sessions/${sessionId}`);
  });

  it('no longer show what the coach takes back', async () => {
    await coach.getByRole('button', { name: 'Released' }).click();
    await coach.getByRole('menuitemradio', { name: 'Coaches only' }).click();
    await coach.getByText('Only coaches see this review now.').waitFor();
    await maren.reload();
    await maren.getByText('This session is not here. It may have been removed.').waitFor();
  });

  it('is given by a menu that opens where it stays: a press while it grows would be lost', async () => {
    await coach.getByRole('button', { name: 'Release', exact: true }).click();
    const sizes = await coach.getByRole('menu').evaluate(
      (menu) =>
        new Promise<string[]>((resolve) => {
          const seen: string[] = [];
          const look = (): void => {
            const { width, height } = menu.getBoundingClientRect();
            seen.push(`${width} × ${height}`);
            if (seen.length < 20) requestAnimationFrame(look);
            else resolve(seen);
          };
          look();
        }),
    );
    expect([...new Set(sizes)]).to.have.length(1);
    await coach.keyboard.press('Escape');
  });
});
