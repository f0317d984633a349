import type { Plan } from '@wax-fist/contract/plans';
import { sixCall, usualPace } from '@wax-fist/core/calls';
import { shippedDrills } from '@wax-fist/core/drills';
import { makePlan, type FloorEvent } from '@wax-fist/core/plan';
import { shippedCatalogue } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { effectScope, ref } from 'vue';
import { v7 as uuid } from 'uuid';
import { until } from '../../test/desk-data.ts';
import { onFreshPage } from '../../test/mounted.ts';
import { keepFloor, keptFloor, keepWaitingLogs, waitingLogs, type FloorState } from './floor-state.ts';
import { useFloorLogs } from './floor-log-store.ts';
import { freshFloor, useFloorTimer, type FloorTimer } from './use-floor-timer.ts';

const planned = (): Plan => {
  const made = makePlan({
    ...{ length: 3600, leads: 'both alike', corrections: [], technique: { id: 'jab', name: 'Jab' }, impactThisWeek: 0 },
    who: { grade: 'improver', ageGroup: 'adult', limits: [], kit: ['heavy bag'], holder: false, partner: false },
    drills: shippedDrills,
  });
  return {
    ...{ id: uuid(), traineeId: uuid(), plannedOn: '2026-03-04', length: 3600, kit: [], holder: false, partner: false },
    ...{ leads: 'both alike', technique: 'jab', impact: 3, log: null, sessions: [] },
    ...made,
  };
};

describe('the timer of the floor', () => {
  const real = Date.now;
  let now = 1_000_000;
  let heard: string[] = [];
  const calling = { catalogue: shippedCatalogue, pace: ref(usualPace), numbers: ref(false) };
  const scopes: ReturnType<typeof effectScope>[] = [];
  onFreshPage();
  beforeEach(() => {
    localStorage.clear();
    heard = [];
    Date.now = () => now;
  });
  afterEach(() => {
    for (const scope of scopes.splice(0)) scope.stop();
    Date.now = real;
  });
  /** Timers of this page do not run by themselves: it is looked at the clock whenever it comes back into view. */
  const runFor = (ms: number): void => {
    for (let left = ms; left > 0; left -= 1000) {
      now += Math.min(1000, left);
      document.dispatchEvent(new Event('visibilitychange'));
    }
  };
  const timerOf = (kept: Plan | FloorState): FloorTimer => {
    const scope = effectScope();
    scopes.push(scope);
    return scope.run(() =>
      useFloorTimer('plan' in kept ? kept : freshFloor(kept, sixCall, 'orthodox'), calling, ({ kind }: FloorEvent, words) =>
        heard.push(words ? `${kind} ${words}` : kind),
      ),
    )!;
  };

  it('counts down, rings, warns, and stands when it is told to', () => {
    const timer = timerOf(planned());
    timer.toggle();
    runFor(10_000);
    expect(timer.stretch.value).to.include({ kind: 'work', part: 0 });
    expect(heard).to.deep.equal(['begins']);
    runFor(361_000);
    expect(heard).to.deep.equal(['begins', 'warns', 'ends']);
    timer.toggle();
    const { value: left } = timer.left;
    runFor(5000);
    expect(timer.left.value).to.equal(left);
  });

  it('calls what the part says, and tells the other lead half way', () => {
    const timer = timerOf(planned());
    timer.toggle();
    const kinds = (): (string | undefined)[] => [
      timer.stretch.value?.kind,
      timer.parts.value[timer.stretch.value?.part ?? 0]?.kind,
    ];
    while (kinds().join() !== 'work,technique') timer.skip();
    heard = [];
    runFor(60_000);
    expect(heard.filter((one) => one === 'other lead')).to.have.length(1);
    expect(heard.filter((one) => one.startsWith('call ')).length).to.be.above(4);
    expect(timer.call.value).to.be.a('string');
  });

  it('calls at the pace that is chosen while it runs, and by numbers where somebody wants them', () => {
    const timer = timerOf(planned());
    timer.toggle();
    while (timer.parts.value[timer.stretch.value?.part ?? 0]?.kind !== 'free' || timer.stretch.value?.kind !== 'work')
      timer.skip();
    const callsIn = (ms: number): string[] => {
      heard = [];
      runFor(ms);
      return heard.filter((one) => one.startsWith('call '));
    };
    calling.pace.value = { ...usualPace, between: 2500 };
    const fast = callsIn(50_000);
    timer.back();
    calling.pace.value = { ...usualPace, between: 11_000 };
    const slow = callsIn(50_000);
    expect(fast.length).to.be.greaterThan(2 * slow.length);
    calling.numbers.value = true;
    timer.back();
    expect(callsIn(30_000)[0]).to.match(/^call [\d1-6-]+/);
    calling.numbers.value = false;
    calling.pace.value = usualPace;
  });

  it('goes on with a session that an older version began', () => {
    const plan = planned();
    localStorage.setItem(
      `wax.floor.${plan.id}`,
      JSON.stringify({ plan, clock: { ran: 7, since: null }, done: [], begunOn: '2026-03-04' }),
    );
    expect(keptFloor(plan.id)).to.include({ begunOn: '2026-03-04', book: sixCall, stance: 'orthodox' });
  });

  it('writes down only what was done, not what was skipped', () => {
    const timer = timerOf(planned());
    timer.toggle();
    runFor(12_000);
    timer.skip();
    expect(timer.log().done).to.deep.equal([{ part: 0, rounds: 0, worked: 2 }]);
    runFor(60_000);
    const second = timer.parts.value[1]!;
    runFor(second.work * 1000);
    expect(timer.log().done[1]).to.deep.equal({ part: 1, rounds: 1, worked: second.work });
  });

  it('goes back to the beginning of a round, and to the one before', () => {
    const timer = timerOf(planned());
    timer.toggle();
    runFor(20_000);
    timer.back();
    expect(timer.elapsed.value).to.equal(10_000);
    timer.back();
    expect(timer.elapsed.value).to.equal(0);
  });

  it('gives one more round, also when all is over, and goes on after a reload where it was', () => {
    const plan = planned();
    const timer = timerOf(plan);
    timer.toggle();
    const { value: before } = timer.parts;
    timer.oneMore();
    expect(timer.parts.value[0]!.rounds).to.equal(before[0]!.rounds + 1);
    runFor(30_000);
    const again = timerOf(keptFloor(plan.id)!);
    expect(again.elapsed.value).to.equal(30_000);
    expect(again.parts.value[0]!.rounds).to.equal(before[0]!.rounds + 1);
    while (!again.over.value) again.skip();
    again.oneMore();
    expect(again.over.value).to.equal(false);
    expect(again.running.value).to.equal(true);
  });

  it('takes nothing for a session that is none', () => {
    const plan = planned();
    localStorage.setItem(`wax.floor.${plan.id}`, '{"plan": 3}');
    expect(keptFloor(plan.id)).to.equal(undefined);
    keepFloor({ plan, book: sixCall, stance: 'southpaw', clock: { ran: 5, since: null }, done: [], begunOn: '2026-03-04' });
    expect(keptFloor(plan.id)!.clock).to.deep.equal({ ran: 5, since: null });
  });
});

describe('what was done on the floor', () => {
  const { fetch } = globalThis;
  let answer: () => Response | Promise<Response>;
  let sent: string[] = [];
  onFreshPage();
  beforeEach(() => {
    localStorage.clear();
    sent = [];
    globalThis.fetch = (async (path: string) => {
      sent.push(path);
      return answer();
    }) as unknown as typeof globalThis.fetch;
  });
  after(() => Object.assign(globalThis, { fetch }));
  const log = { doneOn: '2026-03-04', done: [{ part: 0, rounds: 1, worked: 300 }] };
  const away = (): never => {
    throw new TypeError('no line');
  };

  it('waits while there is no line, and is sent once there is', async () => {
    const logs = useFloorLogs();
    answer = away;
    expect(await logs.write('one', log)).to.equal(undefined);
    expect(await logs.write('two', log)).to.equal(undefined);
    expect(logs.waiting).to.equal(2);
    answer = () => Response.json({ id: 'one' });
    await logs.send();
    expect([logs.waiting, waitingLogs()]).to.deep.equal([0, []]);
    expect(sent.slice(-2)).to.deep.equal(['/api/plans/one/log', '/api/plans/two/log']);
  });

  it('is tried again by itself while there is no line, and not while nobody is signed in', async () => {
    const usual = globalThis.setTimeout;
    // A quarter of a minute is over in no time.
    globalThis.setTimeout = ((act: () => void, wait = 0) => usual(act, wait >= 15_000 ? 1 : wait)) as typeof setTimeout;
    try {
      const logs = useFloorLogs();
      answer = away;
      await logs.write('one', log);
      await until(() => sent.length > 3);
      answer = () => Response.json({ id: 'one' });
      await until(() => logs.waiting === 0);
      answer = () => Response.json({ message: 'Please sign in.' }, { status: 401 });
      await logs.write('two', log);
      const before = sent.length;
      await new Promise((resolve) => usual(resolve, 40));
      expect([logs.waiting, sent.length]).to.deep.equal([1, before]);
    } finally {
      globalThis.setTimeout = usual;
    }
  });

  it('is tried once more where the line comes back while a try without one has not failed yet', async () => {
    const logs = useFloorLogs();
    let fails = (): void => undefined;
    const failing = new Promise<void>((resolve) => (fails = resolve));
    answer = () => failing.then(away);
    const tried = logs.write('one', log);
    answer = () => Response.json({ id: 'one' });
    // What a line that is back again does.
    void logs.send();
    fails();
    await tried;
    expect([logs.waiting, waitingLogs()]).to.deep.equal([0, []]);
  });

  it('of a plan that is gone is said and not kept for ever; without sign-in it waits', async () => {
    const logs = useFloorLogs();
    answer = () => Response.json({ message: 'There is no such plan.' }, { status: 404 });
    await logs.write('one', log);
    expect(logs.waiting).to.equal(0);
    answer = () => Response.json({ message: 'Please sign in.' }, { status: 401 });
    await logs.write('two', log);
    expect(logs.waiting).to.equal(1);
  });

  it('is nothing where something else lies in its place', () => {
    localStorage.setItem('wax.floor-logs', '[{"planId": 4}]');
    expect(waitingLogs()).to.deep.equal([]);
    keepWaitingLogs([{ planId: 'one', log }]);
    expect(waitingLogs()).to.have.length(1);
  });
});
