import { flushPromises } from '@vue/test-utils';
import { expect } from 'chai';
import { routeLocationKey } from 'vue-router';
import { mounted, onFreshPage } from '../test/mounted.ts';
import NoticeBar from './NoticeBar.vue';
import { useNotice } from './notice-store.ts';

describe('what was done', () => {
  onFreshPage();

  it('is said, and taken back once', async () => {
    const told = useNotice();
    let back = 0;
    told.say('Six-call is removed.', async () => ++back);
    expect([told.open, told.notice?.says]).to.deep.equal([true, 'Six-call is removed.']);
    await told.takeBack();
    expect([back, told.notice?.says, told.notice?.undo]).to.deep.equal([1, 'It is back.', undefined]);
    await told.takeBack();
    expect(back).to.equal(1);
  });

  it('that cannot be taken back any more is said in the words of the server', async () => {
    const told = useNotice();
    told.say('Gone.', () => Promise.reject(new Error('There is one of this name.')));
    await told.takeBack();
    await flushPromises();
    expect(told.notice?.says).to.include('There is one of this name.');
  });

  it('gives way to what is done next, also its way back', () => {
    const told = useNotice();
    told.say('First.', () => Promise.resolve());
    told.say('Second.');
    expect(told.notice).to.deep.equal({ says: 'Second.' });
  });

  it('has its whole time, whatever was said before, and longer where there is a way back', async () => {
    const told = useNotice();
    const bar = mounted(NoticeBar, { global: { provide: { [routeLocationKey as symbol]: { meta: {} } } } });
    const line = () => bar.findComponent({ name: 'VSnackbar' });
    told.say('First.');
    await flushPromises();
    const first = line();
    expect(first.props()).to.include({ timeout: 7000 });
    told.say('Second.', () => Promise.resolve());
    await flushPromises();
    expect(line().vm).to.not.equal(first.vm);
    expect(line().props()).to.include({ timeout: 20_000 });
  });
});
