import 'fake-indexeddb/auto';
import type { Film, PointedBody } from '@wax-fist/contract/footage';
import { hipsAt, packTrack } from '@wax-fist/core/body';
import { expect } from 'chai';
import { defineComponent, effectScope, h, nextTick, ref, type EffectScope } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import type { Player } from '../../player/use-player.ts';
import { deskData, standing, until } from '../../test/desk-data.ts';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import { benchContext } from './bench-context.ts';
import PointedBodyBar from './PointedBodyBar.vue';
import PointedBodyLayer from './PointedBodyLayer.vue';
import { useFollowedFilm, type FilmWithBody } from './use-followed-film.ts';
import { usePointedBody, type WhoseBody } from './use-pointed-body.ts';

const [width, height] = [800, 600];

describe('whoever is pointed out at the bench', () => {
  const { fetch } = globalThis;
  let whose: WhoseBody;
  let film: FilmWithBody;
  let scope: EffectScope;
  let wrapper: ReturnType<typeof mounted>;
  let state: { film: Film; sent: PointedBody[]; refuses: boolean };
  const at = ref(20);
  onFreshPage();

  const poseIs = (step: string, progress = 0): void => {
    state.film = { ...state.film, steps: [{ step: 'pose', state: step, progress, left: null, reason: null }] } as Film;
  };
  beforeEach(async () => {
    const data = deskData('lead-side', { bodies: { pose: () => Promise.resolve(standing()) } });
    Object.assign(data.film, { id: 'a-film', width, height, steps: [] });
    Object.assign(data, { stance: 'orthodox' });
    state = { film: data.film, sent: [], refuses: false };
    globalThis.fetch = ((url: string, { method, body }: RequestInit = {}) => {
      if (state.refuses) return Promise.resolve(new Response(JSON.stringify({ message: 'Nobody is there.' }), { status: 409 }));
      if (method === 'PUT') {
        state.sent.push(JSON.parse(body as string) as PointedBody);
        poseIs('waiting');
      }
      // Somebody else, a hundred pixels further on.
      if (url.endsWith('/points')) {
        const track = standing();
        for (let number = 0; number < track.values.length; number += 4) track.values[number]! += 100;
        return Promise.resolve(new Response(packTrack(track).buffer as ArrayBuffer));
      }
      return Promise.resolve(new Response(JSON.stringify(state.film)));
    }) as typeof globalThis.fetch;
    const player = { at, playing: ref(false), toggle: () => undefined } as unknown as Player;
    scope = effectScope();
    scope.run(() => {
      film = useFollowedFilm(data);
      whose = usePointedBody({ data, player: () => player, film, keysShown: ref(false), askEvery: 5 });
    });
    await until(() => film.found.value !== undefined);
    const page = defineComponent(() => () => [
      whose.on.value ? h(PointedBodyLayer, { whose, width, height }) : undefined,
      whose.on.value || whose.work.value ? h(PointedBodyBar, { whose }) : undefined,
    ]);
    wrapper = mounted(page, { global: { provide: { [benchContext as symbol]: { keys: { drawn: (id: string) => id } } } } });
    whose.toggle();
    await nextTick();
  });
  afterEach(() => scope.stop());
  after(() => Object.assign(globalThis, { fetch }));

  const press = (key: string): boolean =>
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
  const drag = async (from: [number, number], to: [number, number]): Promise<void> => {
    const layer = wrapper.find('svg');
    Object.assign(layer.element, {
      getBoundingClientRect: () => ({ left: 0, top: 0, width, height }),
      setPointerCapture: () => undefined,
    });
    const point = ([clientX, clientY]: [number, number]) => ({ clientX, clientY, buttons: 1, pointerId: 1 });
    await layer.trigger('pointerdown', point(from));
    await layer.trigger('pointermove', point(to));
    await layer.trigger('pointerup', point(to));
  };

  it('is at first whoever is followed already', () => {
    const [x, y] = hipsAt(film.found.value!.track, at.value)!;
    expect(whose.square.value).to.include({ x, y });
  });

  it('is sent off by one drag, and shown when it was followed, with how far that is', async () => {
    const before = hipsAt(film.found.value!.track, 20)![0];
    await drag([500, 100], [700, 500]);
    await until(() => state.sent.length === 1);
    expect(state.sent[0]).to.include({ frame: 20, x: 600, y: 300, side: 400 });
    expect(whose.on.value).to.equal(false);
    await until(() => wrapper.text().includes('0%'));
    poseIs('done', 1);
    await until(() => hipsAt(film.found.value!.track, 20)![0] === before + 100);
    expect(whose.work.value).to.equal(undefined);
    expect(useNotice().notice?.says).to.match(/followed now/);
  });

  it('is reached by keys alone', async () => {
    const { x, side } = whose.square.value;
    for (const key of ['ArrowRight', 'ArrowRight', '+', 'Enter']) press(key);
    await until(() => state.sent.length === 1);
    expect(state.sent[0]!.x).to.be.closeTo(x + 0.16 * side, 1e-6);
    expect(state.sent[0]!.side).to.be.closeTo(1.15 * side, 1e-6);
  });

  it('is nobody new when it is left, or pressed without a way', async () => {
    await drag([500, 100], [503, 101]);
    expect(whose.on.value).to.equal(true);
    press('Escape');
    expect(whose.on.value).to.equal(false);
    expect(state.sent).to.have.lengthOf(0);
  });

  it('is refused in the server’s words, and what was followed stays', async () => {
    state.refuses = true;
    const before = film.found.value;
    await drag([500, 100], [700, 500]);
    await until(() => useNotice().notice !== undefined);
    expect(useNotice().notice!.says).to.equal('Nobody is there.');
    expect(film.found.value).to.equal(before);
    expect(whose.work.value).to.equal(undefined);
  });
});
