import 'fake-indexeddb/auto';
import type { Account } from '@wax-fist/contract/accounts';
import { expect } from 'chai';
import { effectScope, nextTick, ref, type EffectScope } from 'vue';
import type { Keys } from '../../app/keys/use-keys.ts';
import type { Player } from '../../player/use-player.ts';
import { numbersOfFrame, numbersOfPoint, pointAt, type Track } from '@wax-fist/core/body';
import { deskData, standing, timeline, until } from '../../test/desk-data.ts';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import { reviewServer } from '../../test/review-server.ts';
import { useAccount } from '../accounts/account-store.ts';
import { benchContext } from './bench-context.ts';
import type { BenchKey } from './bench-keys.ts';
import { useOutbox } from './outbox-store.ts';
import PhaseStrip from './PhaseStrip.vue';
import { useReview } from './review-store.ts';
import { useBench, type Bench } from './use-bench.ts';

const keys = { drawn: (id: string) => `key-${id}` } as unknown as Keys<BenchKey>;

describe('a strike in five stills', () => {
  const { fetch } = globalThis;
  let bench: Bench;
  let scope: EffectScope;
  let wrapper: ReturnType<typeof mounted>;
  /** The body is followed at last. */
  let arrive: (track: Track) => void;
  const at = ref(0);
  onFreshPage();
  beforeEach(async () => {
    reviewServer();
    useAccount().me = { id: 'a-coach', name: 'A coach', role: 'coach' } as unknown as Account;
    const data = deskData('lead-side', { bodies: { pose: () => new Promise((resolve) => (arrive = resolve)) } });
    Object.assign(data, { stance: 'orthodox' });
    await useReview().open(data.film, 1);
    const player = {
      at,
      film: { timeline },
      source: { still: () => new Promise(() => undefined) },
      go: (frame: number) => void (at.value = frame),
      expect: () => undefined,
    } as unknown as Player;
    scope = effectScope();
    bench = scope.run(() => useBench({ data, player: () => player, otherView: () => undefined }))!;
    wrapper = mounted(PhaseStrip, {
      props: { player },
      global: { provide: { [benchContext as symbol]: { data, bench, keys } }, stubs: { FrameStill: true } },
    });
  });
  afterEach(async () => {
    await useOutbox().flush();
    scope.stop();
  });
  after(() => Object.assign(globalThis, { fetch }));

  const tag = async (frame: number, technique: string): Promise<void> => {
    at.value = frame;
    bench.tag(technique);
    await nextTick();
  };
  const button = (name: RegExp) => wrapper.findAll('button').find((one) => name.test(one.attributes('aria-label') ?? ''))!;
  const apart = (): string[] => wrapper.findAll('.apart').map((one) => one.text());

  it('says only what they will be as long as no strike is in hand', () => {
    expect(wrapper.findAll('.empty').map((one) => one.text())).to.deep.equal(['Ready', 'Launch', 'Contact', 'Home', 'Exit']);
  });

  it('tells every still in milliseconds from the contact', async () => {
    await tag(120, 'jab');
    const told = apart();
    expect(told[2]).to.equal('0 ms');
    expect(told.slice(0, 2).every((one) => one.startsWith('−'))).to.equal(true);
    expect(told.slice(3).every((one) => one.startsWith('+'))).to.equal(true);
    expect(wrapper.text()).to.include('key-see-launch').and.include('key-see-home');
  });

  it('goes to a still that is pressed', async () => {
    await tag(120, 'jab');
    await button(/^Go to Launch/).trigger('click');
    expect(at.value).to.equal(bench.strike.value!.launchFrame);
    await nextTick();
    expect(wrapper.find('li.here').text()).to.include('Launch');
  });

  it('shows what is found on the path of the hand in place of a guess, once the body was followed', async () => {
    await tag(120, 'jab');
    const guessed = apart();
    expect(guessed[1]).to.include('guessed');
    // Out within ten frames to the contact, and back within twenty.
    const track = standing();
    for (let frame = 0; frame < track.frames; frame++) {
      const out = frame <= 120 ? Math.max(0, 1 - (120 - frame) / 10) : Math.max(0, 1 - (frame - 120) / 20);
      const way = out * out * (3 - 2 * out);
      track.values[frame * numbersOfFrame + pointAt.leftWrist * numbersOfPoint]! -= 120 * way;
    }
    arrive(track);
    await until(() => apart()[1]!.includes('found'));
    expect(Number.parseInt(apart()[1]!.replace('−', '-'), 10)).to.be.within(-230, -120);
    expect(apart()[3]).to.include('found');
    expect(bench.strike.value!.launchOrigin, 'the log keeps what was said').to.equal('guessed');
    await button(/^Go to Launch/).trigger('click');
    expect(at.value).to.equal(bench.known.value!.launchFrame);
    await button(/^Launch one frame later/).trigger('click');
    expect(bench.strike.value).to.include({ launchOrigin: 'set', launchFrame: at.value });
  });

  it('moves a moment frame by frame, and shows the frame that it moved to', async () => {
    await tag(120, 'jab');
    const { homeFrame } = bench.strike.value!;
    await button(/^Home one frame later/).trigger('click');
    expect(bench.strike.value!.homeFrame).to.equal(homeFrame + 1);
    expect(at.value).to.equal(homeFrame + 1);
    await button(/^Contact one frame earlier/).trigger('click');
    expect(bench.strike.value!.contactFrame).to.equal(119);
    useReview().undo();
    useReview().undo();
    expect(bench.strike.value).to.include({ contactFrame: 120, homeFrame });
  });

  it('of a series shows the strike in hand, at its own moments', async () => {
    await tag(120, 'uppercut-bag-set');
    expect(useReview().strikes).to.have.length(10);
    bench.neighbour(1);
    await nextTick();
    expect(at.value).to.equal(useReview().strikes[1]!.contactFrame);
    expect(apart()[2], 'nobody has heard or seen it land').to.equal('0 ms, guessed');
    const launched = Number.parseInt(apart()[1]!.replace('−', '-'), 10);
    expect(launched, 'a strike is launched shortly before it lands').to.be.within(-400, 0);
  });
});
