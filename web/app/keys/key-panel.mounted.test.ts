import { expect } from 'chai';
import { effectScope, nextTick, type EffectScope } from 'vue';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import KeyPanel from './KeyPanel.vue';
import { useKeys, type KeyAction, type Keys } from './use-keys.ts';

type Act = 'clean' | 'fault' | 'undo';
const table: KeyAction<Act>[] = [
  { id: 'clean', group: 'Judge', name: 'Clean', keys: ['a'] },
  { id: 'fault', group: 'Judge', name: 'Fault', keys: ['d'] },
  { id: 'undo', group: 'Go back', name: 'Undo', keys: ['z', 'Ctrl+z'] },
];
const key = (name: string, target: EventTarget = document.body): void =>
  void target.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }));

describe('keys', () => {
  let keys: Keys<Act>;
  let done: Act[];
  let scope: EffectScope;
  let paused = false;
  onFreshPage();
  const sit = (): void => {
    scope = effectScope();
    keys = scope.run(() =>
      useKeys(
        table,
        'keys-under-test',
        (id) => done.push(id),
        () => paused,
      ),
    )!;
  };
  beforeEach(() => {
    localStorage.clear();
    done = [];
    paused = false;
    sit();
  });
  afterEach(() => scope.stop());

  /** While the panel is open the screen behind it does nothing. */
  const panel = () => {
    paused = true;
    return mounted(KeyPanel, { props: { modelValue: true, keys } });
  };
  const lineOf = (wrapper: ReturnType<typeof panel>, name: string) =>
    wrapper.findAll('dl > div').find((line) => line.find('dd').text() === name)!;
  const keysOf = (wrapper: ReturnType<typeof panel>, name: string): string[] =>
    lineOf(wrapper, name)
      .findAll('kbd')
      .map((one) => one.text());

  it('do what the table says, wherever on the page', () => {
    for (const name of ['a', 'd', 'x', 'z']) key(name);
    expect(done).to.deep.equal(['clean', 'fault', 'undo']);
  });

  it('are letters while somebody writes, and nothing while they are asked for', () => {
    const field = document.body.appendChild(document.createElement('textarea'));
    key('a', field);
    paused = true;
    key('a');
    expect(done).to.deep.equal([]);
  });

  it('are shown in their groups', () => {
    const wrapper = panel();
    expect(wrapper.findAll('h3').map((one) => one.text())).to.deep.equal(['Judge', 'Go back']);
    expect(keysOf(wrapper, 'Undo')).to.have.length(2);
  });

  it('are changed by pressing another; whoever had it loses it, and that is remembered', async () => {
    const wrapper = panel();
    await lineOf(wrapper, 'Clean').find('button').trigger('click');
    expect(wrapper.text()).to.include('Press the new key');
    await wrapper.find('dl').trigger('keydown', { key: 'd' });
    expect(keysOf(wrapper, 'Clean')).to.deep.equal(['D']);
    expect(keysOf(wrapper, 'Fault')).to.deep.equal(['none']);
    scope.stop();
    paused = false;
    sit();
    key('d');
    expect(done).to.deep.equal(['clean']);
    keys.reset();
    await nextTick();
    key('d');
    expect(done).to.deep.equal(['clean', 'fault']);
  });

  it('stay as they are with Escape, and while only Shift is down', async () => {
    const wrapper = panel();
    await lineOf(wrapper, 'Clean').find('button').trigger('click');
    await wrapper.find('dl').trigger('keydown', { key: 'Shift' });
    expect(wrapper.text()).to.include('Press the new key');
    await wrapper.find('dl').trigger('keydown', { key: 'Escape' });
    expect(keysOf(wrapper, 'Clean')).to.deep.equal(['A']);
  });
});
