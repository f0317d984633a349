import 'fake-indexeddb/auto';
import type { Account } from '@wax-fist/contract/accounts';
import { phaseFrames } from '@wax-fist/core/strikes';
import { expect } from 'chai';
import { effectScope, nextTick, type EffectScope } from 'vue';
import type { Keys } from '../../app/keys/use-keys.ts';
import type { Player } from '../../player/use-player.ts';
import { deskData, timeline } from '../../test/desk-data.ts';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import { reviewServer } from '../../test/review-server.ts';
import { useAccount } from '../accounts/account-store.ts';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { benchContext } from './bench-context.ts';
import type { BenchKey } from './bench-keys.ts';
import NotTakenList from './NotTakenList.vue';
import OutboxSign from './OutboxSign.vue';
import { useOutbox } from './outbox-store.ts';
import { useReview } from './review-store.ts';
import RoundRibbon from './RoundRibbon.vue';
import TheWalk from './TheWalk.vue';
import type { BenchData } from './use-bench-data.ts';
import { useBench, type Bench } from './use-bench.ts';

const keys = { drawn: (id: string) => `key-${id}` } as unknown as Keys<BenchKey>;

describe('the bench', () => {
  const { fetch } = globalThis;
  let data: BenchData;
  let bench: Bench;
  let scope: EffectScope;
  let at: number;
  let server: ReturnType<typeof reviewServer>;
  onFreshPage();
  beforeEach(async () => {
    server = reviewServer();
    useAccount().me = { id: 'a-coach', name: 'A coach', role: 'coach' } as unknown as Account;
    data = deskData();
    await useReview().open(data.film, 1);
    const player = {
      at: {
        get value() {
          return at;
        },
      },
      go: (frame: number) => void (at = frame),
      expect: () => undefined,
    };
    scope = effectScope();
    bench = scope.run(() => useBench({ data, player: () => player as unknown as Player, otherView: () => undefined }))!;
  });
  afterEach(async () => {
    server.away = false;
    server.refuses = '';
    await useOutbox().flush();
    await useOutbox().letGo();
    scope.stop();
  });
  after(() => Object.assign(globalThis, { fetch }));

  const atBench = () => ({ global: { provide: { [benchContext as symbol]: { data, bench, keys } } } });
  const walk = () => mounted(TheWalk, { props: { at: 0, writing: false, finding: false, reference: false }, ...atBench() });
  const tag = (frame: number, technique: string): void => {
    at = frame;
    bench.tag(technique);
  };

  it('goes to the phase in which the row in hand is looked at, where nothing tells better what decides it', () => {
    tag(300, 'jab');
    bench.full.value = true;
    for (const id of ['st.heels', 'sm.extension', 'ex.reset']) {
      bench.row.value = id;
      bench.seeRow();
      const { checkpoint } = bench.rows.value.find((line) => line.checkpoint.id === id)!;
      expect(at, id).to.equal(phaseFrames(timeline, bench.known.value!)[checkpoint.phase]);
    }
  });

  describe('its walk', () => {
    it('says how to begin where nothing is tagged, and names the hits where there are some', async () => {
      const wrapper = walk();
      expect(wrapper.text()).to.include('Find the first strike');
      useHitsAndRounds().sound = [{ time: 1000, prominence: 1 }];
      await nextTick();
      expect(wrapper.text()).to.include('1 hit was found');
    });

    it('names the strike by its call, counts what is judged, and folds what this view cannot show', async () => {
      tag(120, 'jab');
      bench.full.value = true;
      const wrapper = walk();
      await nextTick();
      expect(wrapper.find('h2').text()).to.equal('1 Jab');
      const of = bench.rows.value.length;
      expect(wrapper.find('header .quiet').text()).to.equal(`0 of ${of}`);
      bench.judge('clean');
      await nextTick();
      expect(wrapper.find('header .quiet').text()).to.equal(`1 of ${of}`);
      expect(wrapper.find('details.hidden').text()).to.include('cannot be judged from here');
    });

    it('of a series names the strike that lands, and its place', async () => {
      tag(120, 'jab-cross-step');
      const wrapper = walk();
      await nextTick();
      expect(wrapper.text()).to.include('1 Jab').and.include('Jab–cross with a step, 1 of 2');
      bench.neighbour(1);
      await nextTick();
      expect(wrapper.text()).to.include('2 Cross').and.include('Jab–cross with a step, 2 of 2');
    });

    it('keeps a note with Enter, and leaves it with Escape', async () => {
      tag(120, 'jab');
      const wrapper = walk();
      await wrapper.setProps({ writing: true });
      const field = wrapper.find('textarea');
      await field.setValue('  elbow first ');
      await field.trigger('keydown', { key: 'Enter' });
      const { strikeId } = bench.strike.value!;
      expect(useReview().wordOf(strikeId, bench.row.value!)?.note).to.equal('elbow first');
      expect(wrapper.emitted('update:writing')!.at(-1)).to.deep.equal([false]);
    });
  });

  describe('its ribbon', () => {
    const ribbon = () => mounted(RoundRibbon, { props: { at: 120 }, ...atBench() });
    const marks = (wrapper: ReturnType<typeof ribbon>) => wrapper.findAll('.mark');

    it('says how to begin', () => expect(ribbon().text()).to.include('No strike yet'));

    it('shows every strike where it lands, with its call and its gravest verdict', async () => {
      tag(300, 'cross');
      tag(150, 'rear-round');
      await nextTick();
      bench.judge('watch');
      const wrapper = ribbon();
      const [first, second] = marks(wrapper);
      expect(first!.attributes('aria-label')).to.equal('Rear round kick, watch');
      expect(first!.text()).to.include('RR');
      expect(second!.attributes('aria-label')).to.equal('2 Cross, open');
      const places = marks(wrapper).map((mark) => Number.parseFloat((mark.element as HTMLElement).style.left));
      expect(places[0]).to.be.closeTo((100 * timeline[150]!) / timeline.at(-1)!, 0.01);
      await second!.trigger('click');
      expect(bench.strike.value).to.equal(useReview().strikes[1]);
    });

    it('dims what is not in question', () => {
      tag(150, 'jab');
      bench.filter.value = { ...bench.filter.value, technique: 'cross' };
      expect(marks(ribbon())[0]!.classes()).to.include('dim');
    });

    it('stacks the rounds, and is tall for the one in hand', async () => {
      tag(60, 'jab');
      tag(500, 'cross');
      const round = (id: string, from: number, to: number) => ({
        id,
        name: id,
        from,
        to,
        kind: 'heavy bag',
        manner: 'bell',
        planned: '',
      });
      useHitsAndRounds().rounds = [round('one', 0, 4000), round('two', 5000, 9000)] as never;
      const wrapper = ribbon();
      await nextTick();
      expect(marks(wrapper).map((mark) => mark.classes().includes('low'))).to.deep.equal([false, true]);
    });
  });

  describe('its outbox sign', () => {
    const words = async (wrapper: ReturnType<typeof mounted>, says: string): Promise<void> => {
      for (let turn = 0; !wrapper.text().includes(says); turn++) {
        if (turn > 300) throw new Error(`It never said “${says}”, but “${wrapper.text()}”.`);
        await new Promise((resolve) => setTimeout(resolve, 5));
      }
    };

    it('says that everything is saved, and what waits while the server is away', async () => {
      const wrapper = mounted(OutboxSign);
      await words(wrapper, 'All marks saved');
      server.away = true;
      tag(120, 'jab');
      await words(wrapper, '1 mark waits here for the server');
      server.away = false;
      await useOutbox().flush();
      await words(wrapper, 'All marks saved');
    });

    it('says what was not taken and why, and lets go of it when told to', async () => {
      const wrapper = mounted(OutboxSign);
      server.refuses = 'This strike lies outside of the film.';
      tag(120, 'jab');
      await words(wrapper, '1 mark not taken');
      await wrapper.find('button').trigger('click');
      const list = mounted(NotTakenList, { props: { modelValue: true } });
      await words(list, 'Jab at frame 120');
      await words(list, 'This strike lies outside of the film.');
      server.refuses = '';
      const button = list.findAll('button').find((one) => one.text() === 'Let go of all')!;
      await button.trigger('click');
      await words(wrapper, 'All marks saved');
      expect(server.log).to.deep.equal([]);
    });
  });
});
