import type { Film } from '@wax-fist/contract/footage';
import type { SavedAlignment } from '@wax-fist/contract/alignments';
import { packTimeline, timelineOf } from '@wax-fist/core/film';
import { expect } from 'chai';
import { useOtherView } from './use-other-view.ts';

const timeline = timelineOf([0, 20, 40, 60]);
const film = (id: string): Film =>
  ({ id, state: 'ready', view: 'front', steps: [{ step: 'views', state: 'done' }] }) as unknown as Film;
const [own, other] = [film('own'), film('other')];
const heard: SavedAlignment = { filmId: 'own', otherId: 'other', offset: 5, drift: 0, fit: 0.9 };

describe('the other view of a round', () => {
  const { fetch } = globalThis;
  let asked: string[];
  let held: SavedAlignment[];
  let answersSlowly: Promise<void> | undefined;
  beforeEach(() => {
    [asked, held, answersSlowly] = [[], [heard], undefined];
    globalThis.fetch = (async (url: string, { method = 'GET', body }: RequestInit = {}) => {
      if (url.endsWith('/timeline')) return new Response(packTimeline(timeline) as BodyInit);
      if (url.endsWith('/alignments')) return Response.json(held);
      if (!url.includes('/alignments/')) return Response.json(url.includes('own') ? own : other);
      asked.push(method);
      if (method === 'PUT') {
        await answersSlowly;
        held = [{ ...heard, ...(JSON.parse(body as string) as { offset: number }), fit: null }];
        return Response.json(held[0]);
      }
      held = [heard];
      return new Response(null, { status: 204 });
    }) as typeof globalThis.fetch;
  });
  after(() => void (globalThis.fetch = fetch));

  const tied = async () => {
    const view = useOtherView(own, timeline, [own, other]);
    await view.next();
    return view;
  };
  const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

  it('is moved by hand, and that is kept a moment later', async () => {
    const view = await tied();
    view.move(1);
    view.move(1);
    expect(view.tie.value).to.include({ offset: 45, fit: null });
    await pause(700);
    expect(asked).to.deep.equal(['PUT']);
  });

  it('listens again without keeping what was moved by hand just before', async () => {
    const view = await tied();
    view.move(1);
    await view.listenAgain();
    await pause(700);
    expect(asked).to.deep.equal(['DELETE']);
    expect(view.tie.value).to.deep.equal(heard);
  });

  it('listens again after what was on its way to be kept has arrived', async () => {
    let arrive = (): void => undefined;
    answersSlowly = new Promise((resolve) => (arrive = resolve));
    const view = await tied();
    view.move(1);
    await pause(650);
    const listening = view.listenAgain();
    await pause(20);
    expect(asked).to.deep.equal(['PUT']);
    arrive();
    await listening;
    expect(asked).to.deep.equal(['PUT', 'DELETE']);
    expect(view.tie.value).to.deep.equal(heard);
  });
});
