import axe from 'axe-core';
import { expect } from 'chai';
import type { Page } from 'playwright-core';

/** What fades in has no contrast yet: waits for whatever moves and comes to an end. */
const atRest = (page: Page): Promise<unknown> =>
  page.evaluate(() => {
    const ending = document.getAnimations().filter(({ effect }) => effect?.getComputedTiming().iterations !== Infinity);
    return Promise.all(ending.map(({ finished }) => finished.catch(() => undefined))).then(() => undefined);
  });

/** Rules of WCAG 2.2, levels A and AA, that a program can check; contrast among them. */
export async function accessible(page: Page, what: string): Promise<void> {
  await atRest(page);
  await page.evaluate(axe.source);
  const { violations } = await page.evaluate(() =>
    (globalThis as unknown as { axe: typeof axe }).axe.run(document, {
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
    }),
  );
  const told = violations.flatMap(({ id, nodes }) =>
    nodes.map(({ target, failureSummary }) => `${what}: ${id} at ${target.join(' ')}: ${failureSummary}`),
  );
  expect(told.join('\n')).to.equal('');
}

/** What sticks out of the window to the right, and what is too small for a thumb. A link within a sentence is as high as its line. */
export const looked = (page: Page, least: number) =>
  page.evaluate((least) => {
    const all = [...document.querySelectorAll<HTMLElement>('body *')];
    const named = (element: Element): string =>
      `${element.tagName.toLowerCase()}.${element.getAttribute('class')?.slice(0, 60)} “${element.textContent.trim().slice(0, 30)}”`;
    const wide = all.filter((element) => {
      const { right, width } = element.getBoundingClientRect();
      return (
        width > 0 && right > innerWidth + 1 && !element.closest('[style*="overflow"], .still-picture, .unseen, .skip, canvas')
      );
    });
    const controls = 'button, select, input, textarea, [role=tab], [role=button], a.v-btn, nav a';
    const small = all
      .filter((element) => element.matches(controls) && element.getClientRects().length > 0)
      .map((element) => element.closest<HTMLElement>('label, .v-field, .v-selection-control') ?? element)
      .filter((element) => {
        const { width, height } = element.getBoundingClientRect();
        return width > 1 && (height < least || width < least);
      });
    return {
      wider: document.documentElement.scrollWidth - innerWidth,
      wide: wide.slice(0, 5).map(named),
      small: small.slice(0, 8).map(named),
    };
  }, least);
