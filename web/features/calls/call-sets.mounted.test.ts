import { flushPromises } from '@vue/test-utils';
import type { CallSet } from '@wax-fist/contract/calls';
import { eightCall, sixCall } from '@wax-fist/core/calls';
import { shippedCatalogue } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { useNotice } from '../../app/notice-store.ts';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import CallSets from './CallSets.vue';

describe('sets to know by heart', () => {
  const { fetch } = globalThis;
  let sets: CallSet[];
  let refuses = '';
  onFreshPage();
  beforeEach(() => {
    refuses = '';
    sets = [{ id: 'one', name: 'First set', recipe: 'jab, cross, lead hook' }];
    globalThis.fetch = (async (path: string, { method, body }: RequestInit = {}) => {
      if (method === 'GET') return Response.json(sets);
      if (refuses) return Response.json({ message: refuses }, { status: 422 });
      const id = path.split('/').at(-1);
      sets = sets.filter((set) => set.id !== id);
      if (method === 'DELETE') return new Response(null, { status: 204 });
      const set = JSON.parse(body as string) as CallSet;
      sets = [...sets, set];
      return Response.json(set);
    }) as unknown as typeof fetch;
  });
  after(() => Object.assign(globalThis, { fetch }));

  const shown = async (book = sixCall) => {
    const wrapper = mounted(CallSets, { props: { book, catalogue: shippedCatalogue } });
    await flushPromises();
    return wrapper;
  };
  const names = (wrapper: Awaited<ReturnType<typeof shown>>): string[] => wrapper.findAll('li b').map((one) => one.text());

  it('are shown in words, and in the numbers of the book', async () => {
    expect((await shown()).find('li').text())
      .to.include('jab, cross, lead hook')
      .and.include('1-2-3');
    expect((await shown(eightCall)).find('li .number').text()).to.equal('1-2-3');
  });

  it('say what goes here when there are none', async () => {
    sets = [];
    expect((await shown()).text()).to.include('None yet.');
  });

  it('that are removed are gone, and come back with undo', async () => {
    const wrapper = await shown();
    await wrapper.find('li button').trigger('click');
    await flushPromises();
    expect(names(wrapper)).to.deep.equal([]);
    expect(useNotice().notice?.says).to.equal('First set is removed.');
    await useNotice().takeBack();
    await flushPromises();
    expect(names(wrapper)).to.deep.equal(['First set']);
  });

  it('that the server will not have say why, and what was typed stays', async () => {
    const wrapper = await shown();
    const [name, what] = wrapper.findAll('form input');
    await name!.setValue('Second set');
    await what!.setValue('1-2b');
    refuses = 'There is a set of this name.';
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(wrapper.find('[role=alert]').text()).to.include('There is a set of this name.');
    expect((name!.element as HTMLInputElement).value).to.equal('Second set');
  });

  it('are kept in words, so that they mean the same with every book', async () => {
    const wrapper = await shown();
    const [name, what] = wrapper.findAll('form input');
    await name!.setValue('Second set');
    await what!.setValue('1-2b');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(sets.at(-1)).to.include({ name: 'Second set', recipe: 'jab, body straight' });
    expect(names(wrapper)).to.deep.equal(['First set', 'Second set']);
  });

  it('that cannot be read say where it fails, and nothing is sent', async () => {
    const wrapper = await shown();
    const [name, what] = wrapper.findAll('form input');
    await name!.setValue('Third set');
    await what!.setValue('1-99');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(wrapper.text()).to.include('has no 99');
    expect(sets).to.have.length(1);
  });
});
