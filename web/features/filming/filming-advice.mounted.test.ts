import 'fake-indexeddb/auto';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { shippedVersion, usualSchool } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { until } from '../../test/desk-data.ts';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import FilmingAdvice from './FilmingAdvice.vue';

describe('before a round is filmed', () => {
  const { fetch } = globalThis;
  onFreshPage();
  const correction = (technique: string, checkpointId: string) => ({
    ...{ id: checkpointId, technique, checkpointId, state: 'working', openedOn: '2026-03-01' },
  });
  beforeEach(() => {
    globalThis.fetch = ((url: string) =>
      Promise.resolve(
        new Response(
          JSON.stringify(
            url.includes('corrections')
              ? { rows: [correction('jab', 'st.lean'), correction('jab', 'st.width')], next: null }
              : [],
          ),
        ),
      )) as typeof globalThis.fetch;
  });
  after(() => Object.assign(globalThis, { fetch }));

  it('what a camera settles from where it stands is told, and from where the rest would be, as soon as it is moved', async () => {
    const session = {
      ...{
        traineeId: 'somebody',
        checklistVersion: shippedVersion,
        heldOn: '2026-03-08',
        films: [],
        trainee: { stance: 'orthodox' },
      },
      judgedBy: { ...usualSchool, bookId: '' },
    } as unknown as SessionDetail;
    const page = mounted(FilmingAdvice, { props: { session, view: 'lead-side' } });
    await until(() => page.text().includes('will be measured'));
    expect(page.text()).to.match(/^From the lead side/);
    const lines = (): string[] => page.findAll('li').map((line) => line.text());
    expect(lines()[0]).to.match(/^Jab, hips under shoulders will be measured$/);
    expect(lines()[1]).to.match(/not from here; measured from the front/);
    await page.setProps({ view: 'front' });
    expect(lines()[0]).to.match(/not from here; measured from the lead side/);
    expect(lines()[1]).to.match(/will be measured$/);
  });
});
