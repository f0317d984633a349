import { flushPromises } from '@vue/test-utils';
import { usualManner } from '@wax-fist/core/words';
import { expect } from 'chai';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import { useAccount } from '../accounts/account-store.ts';
import MyManner from './MyManner.vue';

describe('how one reads', () => {
  const { fetch } = globalThis;
  onFreshPage();
  after(() => Object.assign(globalThis, { fetch }));

  it('is chosen by what it makes, and holds at once; what the server refuses is said and changes nothing', async () => {
    const sent: unknown[] = [];
    let answers = (body: unknown): Response => Response.json(body);
    globalThis.fetch = (async (_: string, { body }: RequestInit) => {
      sent.push(JSON.parse(body as string));
      return answers(sent.at(-1));
    }) as unknown as typeof fetch;
    const account = useAccount();
    account.me = { id: 'me', name: 'Me', role: 'coach', email: 'me@club.example', manner: usualManner, secondFactorDue: false };
    const wrapper = mounted(MyManner);
    const press = async (says: string): Promise<void> => {
      await wrapper
        .findAll('button')
        .find((one) => one.text() === says)!
        .trigger('click');
      await flushPromises();
    };
    const pressed = (): string[] => wrapper.findAll('[aria-pressed=true]').map((one) => one.text());
    expect(pressed()).to.include.members(['172 cm', '18:05', '1.5']);
    await press('5′ 8″');
    expect(sent).to.deep.equal([{ ...usualManner, units: 'imperial' }]);
    expect(account.me.manner.units).to.equal('imperial');
    expect(pressed()).to.include.members(['5′ 8″', '18:05', '1.5']);
    answers = () => Response.json({ message: 'Not today.' }, { status: 422 });
    await press('1,5');
    expect(wrapper.find('[role=alert]').text()).to.equal('Not today.');
    expect(pressed()).to.include('1.5');
  });
});
