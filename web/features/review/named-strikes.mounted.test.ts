import 'fake-indexeddb/auto';
import type { Account } from '@wax-fist/contract/accounts';
import type { FoundStrike } from '@wax-fist/core/strikes';
import { expect } from 'chai';
import { effectScope, nextTick, ref, type EffectScope } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import type { Player } from '../../player/use-player.ts';
import { deskData } from '../../test/desk-data.ts';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import { reviewServer } from '../../test/review-server.ts';
import { useAccount } from '../accounts/account-store.ts';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { benchContext } from './bench-context.ts';
import NamedBar from './NamedBar.vue';
import { useOutbox } from './outbox-store.ts';
import { useReview } from './review-store.ts';
import { useBench, type Bench } from './use-bench.ts';
import { useNamedStrikes, type NamedStrikes } from './use-named-strikes.ts';

const found = (time: number, technique: string, chance = 0.95, other = 'body-jab'): FoundStrike => ({
  time,
  prominence: 0.95,
  from: ['sound', 'sight'],
  names: [
    { technique, chance },
    { technique: other, chance: 1 - chance },
  ],
});

describe('strikes that were found and named', () => {
  const { fetch } = globalThis;
  const at = ref(0);
  let bench: Bench;
  let named: NamedStrikes;
  let scope: EffectScope;
  let bar: ReturnType<typeof mounted>;
  onFreshPage();
  beforeEach(async () => {
    reviewServer();
    at.value = 0;
    useAccount().me = { id: 'a-coach', name: 'A coach', role: 'coach' } as unknown as Account;
    const data = deskData();
    await useReview().open(data.film, 1);
    const player = { at, go: (frame: number) => void (at.value = frame), expect: () => undefined } as unknown as Player;
    scope = effectScope();
    scope.run(() => {
      bench = useBench({ data, player: () => player, otherView: () => undefined });
      named = useNamedStrikes(data, bench.film, () => player, bench.select);
    });
    useHitsAndRounds().both = [
      found(1000, 'jab'),
      found(1400, 'cross'),
      found(2500, 'jab', 0.6),
      found(4000, 'rear-round'),
      found(5500, 'cross', 0.55, 'overhand'),
    ];
    bar = mounted(NamedBar, {
      props: { named },
      global: { provide: { [benchContext as symbol]: { keys: { drawn: (id: string) => id } } } },
    });
  });
  afterEach(async () => {
    await useOutbox().flush();
    await useOutbox().letGo();
    scope.stop();
  });
  after(() => Object.assign(globalThis, { fetch }));
  const tagged = (): string[] => useReview().strikes.map(({ technique }) => technique);

  it('are taken over by one key, what is unsure being looked at first', async () => {
    expect(bar.text()).to.include('5 strikes found and named').and.include('2 of them unsure');
    named.takeOver();
    await nextTick();
    expect(tagged()).to.deep.equal(['jab', 'cross', 'rear-round']);
    expect(useReview().strikes.every(({ contactOrigin }) => contactOrigin === 'found')).to.equal(true);
    expect(at.value, 'at the first that is unsure').to.equal(150);
    expect(bar.text()).to.match(/What was it\?.*Jab.*60%.*40%/);
    expect(useNotice().notice?.says).to.include('3 strikes taken over');
  });

  it('tell when they landed by eye where nothing was heard of them', () => {
    useHitsAndRounds().both = [found(1000, 'jab'), { ...found(1400, 'cross'), from: ['sight'] }];
    named.takeOver();
    expect(useReview().strikes.map(({ contactOrigin }) => contactOrigin)).to.deep.equal(['found', 'seen']);
  });

  it('take the likeliest name by the same key, one after the other, until none is left', async () => {
    named.takeOver();
    named.takeOver();
    await nextTick();
    expect(at.value).to.equal(330);
    named.takeOver();
    expect(tagged()).to.deep.equal(['jab', 'cross', 'jab', 'rear-round', 'cross']);
    expect(named.open.value).to.deep.equal([]);
    named.takeOver();
    expect(tagged(), 'nothing twice').to.have.length(5);
  });

  it('take another name, or none, from the coach', async () => {
    named.takeOver();
    bench.tag('body-jab');
    await nextTick();
    expect(named.open.value.map(({ time }) => time)).to.deep.equal([5500]);
    useHitsAndRounds().edits = { ...useHitsAndRounds().edits, removed: [5500] };
    expect(named.open.value).to.deep.equal([]);
    expect(tagged()).to.deep.equal(['jab', 'cross', 'body-jab', 'rear-round']);
  });

  it('come back with one undo', async () => {
    named.takeOver();
    useReview().undo();
    await nextTick();
    expect(tagged()).to.deep.equal([]);
    expect(named.open.value).to.have.length(5);
  });

  it('are those of the round at the playhead, and of no technique that the club does not know', () => {
    useHitsAndRounds().rounds = [
      { id: 'r', name: 'Round 1', from: 0, to: 3000, kind: 'heavy bag', manner: 'free', planned: '', proposed: true },
    ] as never;
    expect(named.open.value).to.have.length(3);
    useHitsAndRounds().both = [found(1000, 'headbutt')];
    expect(named.open.value).to.deep.equal([]);
  });
});
