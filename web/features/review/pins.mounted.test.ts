import 'fake-indexeddb/auto';
import type { Account } from '@wax-fist/contract/accounts';
import type { Mark } from '@wax-fist/contract/review';
import { expect } from 'chai';
import { computed, defineComponent, effectScope, h, nextTick, ref, shallowRef, type EffectScope } from 'vue';
import type { ReadFrom } from '@wax-fist/core/measure';
import type { Player } from '../../player/use-player.ts';
import { deskData, standing, until } from '../../test/desk-data.ts';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import { reviewServer } from '../../test/review-server.ts';
import { useAccount } from '../accounts/account-store.ts';
import { benchContext } from './bench-context.ts';
import { useOutbox } from './outbox-store.ts';
import PinBar from './PinBar.vue';
import PinLayer from './PinLayer.vue';
import { useReview } from './review-store.ts';
import { useFollowedFilm, type FilmWithBody } from './use-followed-film.ts';
import type { WhoseBody } from './use-pointed-body.ts';
import { usePins, type Pins } from './use-pins.ts';

const [width, height] = [800, 600];

describe('points that are put right by hand at the bench', () => {
  const { fetch } = globalThis;
  let pins: Pins;
  let film: FilmWithBody;
  let server: ReturnType<typeof reviewServer>;
  let scope: EffectScope;
  let wrapper: ReturnType<typeof mounted>;
  const at = ref(0);
  const playing = ref(false);
  const read = shallowRef<ReadFrom>();
  onFreshPage();
  beforeEach(async () => {
    server = reviewServer();
    useAccount().me = { id: 'a-coach', name: 'A coach', role: 'coach' } as unknown as Account;
    const data = deskData('lead-side', { bodies: { pose: () => Promise.resolve(standing()) } });
    Object.assign(data.film, { width, height });
    Object.assign(data, { stance: 'orthodox' });
    await useReview().open(data.film, 1);
    at.value = 100;
    playing.value = false;
    read.value = { points: ['leftWrist', 'leftElbow'], from: 0, to: 0, ofHolder: false, pass: 'first', steadiness: 'found' };
    const player = {
      ...{ at, playing },
      step: (frames: number) => void (at.value += frames),
      toggle: () => void (playing.value = !playing.value),
    } as unknown as Player;
    scope = effectScope();
    scope.run(() => {
      film = useFollowedFilm(data);
      pins = usePins({ data, player: () => player, film, read: computed(() => read.value), keysShown: ref(false) });
    });
    await until(() => film.followed.value !== undefined);
    const page = defineComponent(() => () => [
      h('input'),
      pins.on.value
        ? [h(PinLayer, { pins, width, height }), h(PinBar, { pins, whose: { toggle: () => undefined } as unknown as WhoseBody })]
        : undefined,
    ]);
    const keys = { drawn: (id: string) => id };
    wrapper = mounted(page, { global: { provide: { [benchContext as symbol]: { keys } } } });
    pins.toggle();
    await nextTick();
    await nextTick();
  });
  afterEach(async () => {
    await useOutbox().flush();
    scope.stop();
  });
  after(() => Object.assign(globalThis, { fetch }));

  const point = (name: string) => wrapper.find<SVGElement>(`[data-point="${name}"]`);
  async function press(key: string, change: KeyboardEventInit = {}): Promise<void> {
    const { activeElement } = document;
    for (const type of ['keydown', 'keyup'])
      activeElement!.dispatchEvent(new KeyboardEvent(type, { key, bubbles: true, cancelable: true, ...change }));
    await nextTick();
    await nextTick();
  }
  const told = () => useReview().pins.map(({ frame, point: name, said, x, y }) => ({ frame, name, said, x, y }));
  const bar = (): string => wrapper.find('[aria-label="Points by hand"]').text();

  it('begin with those that the row in hand is measured by, the first of them in hand', () => {
    expect(wrapper.findAll('[data-point]').map((one) => one.attributes('data-point'))).to.have.length(19);
    expect(document.activeElement).to.equal(point('leftWrist').element);
    expect(bar()).to.include('left wrist').and.to.include('as found');
  });

  it('are moved by keys, one step until the key is let go, which can be undone', async () => {
    const { x } = pins.picked.value!;
    const target = document.activeElement!;
    for (let time = 0; time < 3; time++) target.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
    expect(told()).to.deep.equal([]);
    await press('ArrowRight');
    expect(told()).to.deep.equal([{ frame: 100, name: 'leftWrist', said: 'here', x: x + 4, y: 170 }]);
    expect(bar()).to.include('put right by hand');
    useReview().undo();
    await nextTick();
    expect([told(), pins.picked.value!.x]).to.deep.equal([[], x]);
    useReview().redo();
    expect(pins.picked.value!.x).to.equal(x + 4);
  });

  it('never leave the picture', async () => {
    for (let time = 0; time < 100; time++) await press('ArrowLeft', { shiftKey: true });
    expect(told()[0]).to.include({ x: 0 });
  });

  it('are right as they are, frame by frame, as in the frame beside, hidden, and taken back', async () => {
    await press('ArrowDown');
    await press('Enter');
    expect([at.value, told().length]).to.deep.equal([101, 1]);
    await press('b');
    expect(told()[1]).to.deep.equal({ frame: 101, name: 'leftWrist', said: 'here', x: 370, y: 171 });
    await press('h');
    expect(told()[1]).to.include({ said: 'hidden', x: null });
    expect(bar()).to.include('hidden here');
    await press('Delete');
    expect(told().map(({ frame }) => frame)).to.deep.equal([100]);
    await press(']');
    expect(pins.picked.value!.point).to.equal('leftElbow');
    await press('Escape');
    expect(bar()).to.include('1 point put right');
  });

  it('say who has put them there, when it was somebody before', async () => {
    const place = { frame: 100, point: 'leftWrist', said: 'here', x: 300, y: 200, saidAt: new Date().toISOString() };
    server.log.push({ kind: 'pin', id: 'theirs', ...place, saidBy: 'Ragna' } as unknown as Mark);
    await useReview().refresh();
    await nextTick();
    expect(bar()).to.include('put right by hand, Ragna');
  });

  it('are dragged with the pointer, and say nothing where they were only touched', async () => {
    const hip = point('leftHip');
    const layer = wrapper.find('svg').element;
    layer.getBoundingClientRect = () => ({ left: 0, top: 0, width: width / 2, height: height / 2 }) as DOMRect;
    Object.assign(hip.element, { setPointerCapture: () => undefined });
    const pointer = (type: string, clientX: number, clientY: number) =>
      hip.element.dispatchEvent(
        Object.assign(new Event(type, { bubbles: true }), { clientX, clientY, buttons: 1, pointerId: 1 }),
      );
    pointer('pointerdown', 186, 151);
    pointer('pointerup', 186, 151);
    expect(told()).to.deep.equal([]);
    pointer('pointerdown', 186, 151);
    pointer('pointermove', 206, 141);
    pointer('pointerup', 206, 141);
    expect(told()).to.deep.equal([{ frame: 100, name: 'leftHip', said: 'here', x: 410, y: 280 }]);
  });

  it('what is being moved is put down where it was when the film goes on', async () => {
    pins.move({ x: 5, y: 6 });
    at.value = 150;
    await nextTick();
    expect(told()).to.deep.equal([{ frame: 100, name: 'leftWrist', said: 'here', x: 5, y: 6 }]);
    playing.value = true;
    await nextTick();
    expect(wrapper.findAll('[data-point]')).to.have.length(0);
  });
});
