import 'fake-indexeddb/auto';
import type { Account } from '@wax-fist/contract/accounts';
import type { Mark, RefusedMark } from '@wax-fist/contract/review';
import { expect } from 'chai';
import fc from 'fast-check';
import { createPinia, setActivePinia } from 'pinia';
import { v7 as uuid } from 'uuid';
import { useAccount } from '../accounts/account-store.ts';
import { useOutbox } from './outbox-store.ts';

/** What must hold of marks, told simply: each is with the server, waits here, or was refused and waits for the coach. */
interface Model {
  away: boolean;
  /** All of a batch, each mark whose id is odd, or none. */
  refuses: 'all' | 'odd' | 'none';
  kept: Set<string>;
  waiting: Set<string>;
  refused: Set<string>;
}
interface Real {
  outbox: ReturnType<typeof useOutbox>;
  server: { away: boolean; refuses: Model['refuses']; kept: Set<string>; twice: boolean };
}
type Command = fc.AsyncCommand<Model, Real>;

const isOdd = (id: string): boolean => parseInt(id.at(-1)!, 16) % 2 === 1;
const isRefused = (id: string, refuses: Model['refuses']): boolean => refuses === 'all' || (refuses === 'odd' && isOdd(id));
const markOf = (id: string) => ({ kind: 'strike', id }) as Mark;
/** Sends everything that can be sent: what waits goes to the server, or back to the coach. */
function settle(model: Model): void {
  if (model.away) return;
  for (const id of model.waiting) (isRefused(id, model.refuses) ? model.refused : model.kept).add(id);
  model.waiting.clear();
}
async function agree(model: Model, { outbox, server }: Real): Promise<void> {
  settle(model);
  // A flush that is under way may have begun before the last change: another one follows it.
  for (let turn = 0; turn < 3; turn++) await outbox.flush();
  expect([...server.kept].sort()).to.deep.equal([...model.kept].sort());
  expect(outbox.notTaken.map(({ id }) => id).sort()).to.deep.equal([...model.refused].sort());
  const here = await outbox.marksOf('film');
  expect(here.map(({ id }) => id).sort(), 'nothing is lost').to.deep.equal([...model.waiting, ...model.refused].sort());
  const state = model.refused.size > 0 ? 'refused' : model.waiting.size > 0 ? 'away' : 'saved';
  expect(outbox.state).to.equal(state);
}

const command = (name: string, act: (model: Model, real: Real) => unknown): Command => ({
  check: () => true,
  run: async (model, real) => {
    await act(model, real);
    await agree(model, real);
  },
  toString: () => name,
});
const say = (count: number): Command =>
  command(`say ${count}`, async (model, { outbox }) => {
    const ids = Array.from({ length: count }, () => uuid());
    for (const id of ids) model.waiting.add(id);
    await outbox.put('film', ids.map(markOf));
  });
const goAway = command('server goes away', (model, { server }) => void (model.away = server.away = true));
const comeBack = command('server comes back', (model, { server }) => void (model.away = server.away = false));
const refuse = (refuses: Model['refuses']): Command =>
  command(`server refuses ${refuses}`, (model, { server }) => void (model.refuses = server.refuses = refuses));
const answerLost = command('an answer is lost', (_model, { server }) => void (server.twice = true));
const letGo = command('let go', async (model, { outbox }) => {
  model.refused.clear();
  await outbox.letGo();
});
const letOneGo = command('let one go', async (model, { outbox }) => {
  const [one] = outbox.notTaken;
  if (!one) return;
  model.refused.delete(one.id);
  await outbox.letGo([one.id]);
});
const tryAgain = command('try again', async (model, { outbox }) => {
  for (const id of model.refused) model.waiting.add(id);
  model.refused.clear();
  await outbox.tryAgain();
});

describe('the outbox, whatever happens in whatever order', () => {
  const { fetch, window } = globalThis;
  after(() => Object.assign(globalThis, { fetch, window }));

  it('agrees with its model', async function () {
    this.timeout(30_000);
    const commands = fc.commands(
      [
        fc.integer({ min: 1, max: 4 }).map(say),
        ...[goAway, comeBack, refuse('all'), refuse('odd'), refuse('none'), answerLost, letGo, letOneGo, tryAgain].map((one) =>
          fc.constant(one),
        ),
      ],
      { maxCommands: 14 },
    );
    let coaches = 0;
    let last: Real | undefined;
    const start = () => {
      Object.assign(globalThis, { window: new EventTarget() });
      setActivePinia(createPinia());
      const server: Real['server'] = { away: false, refuses: 'none', kept: new Set(), twice: false };
      globalThis.fetch = (async (_url: string, { body }: RequestInit) => {
        if (server.away) throw new TypeError('fetch failed');
        if (server.refuses === 'all') return Response.json({ message: 'No.' }, { status: 422 });
        const { marks } = JSON.parse(body as string) as { marks: Mark[] };
        const [kept, refused] = [[] as string[], [] as RefusedMark[]];
        marks.forEach(({ id }, place) => {
          if (isRefused(id, server.refuses)) refused.push({ place, reason: 'No.' });
          else kept.push(id);
        });
        for (const id of kept) server.kept.add(id);
        // The server has them, and the browser does not know: they are sent again, and kept once.
        if (server.twice) {
          server.twice = false;
          throw new TypeError('fetch failed');
        }
        return Response.json({ kept, refused });
      }) as unknown as typeof globalThis.fetch;
      useAccount().me = { id: `coach-${++coaches}`, name: 'A coach', role: 'coach' } as unknown as Account;
      const model: Model = { away: false, refuses: 'none', kept: new Set(), waiting: new Set(), refused: new Set() };
      last = { outbox: useOutbox(), server };
      return { model, real: last };
    };
    await fc.assert(
      fc.asyncProperty(commands, async (list) => {
        try {
          await fc.asyncModelRun(start, list);
        } finally {
          // An outbox whose server is away would try again for ever.
          Object.assign(last!.server, { away: false, refuses: 'none' });
          while (last!.outbox.state !== 'saved') await last!.outbox.letGo();
        }
      }),
      { numRuns: 40 },
    );
  });
});
