import { messageOf } from '@wax-fist/core/message-of';
import type { ClubEdits } from '@wax-fist/core/technique';
import { noClubEdits, rowsOf, shippedCatalogue } from '@wax-fist/core/technique';
import { sixCall } from '@wax-fist/core/calls';
import { checkpointName, techniqueName } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { useCatalogue } from './catalogue-store.ts';

/** A server as far as the shelf can tell: versions of the checklists, and how often each was asked for. */
function standIn() {
  const hidden: ClubEdits = {
    ...noClubEdits,
    checklists: { jab: rowsOf(shippedCatalogue, 'jab').map((row) => ({ ...row, hidden: row.checkpointId === 'sm.snap' })) },
  };
  const state = { versions: [noClubEdits, hidden], asked: [] as string[], away: false };
  const answer = (body: unknown, status = 200): Response => new Response(JSON.stringify(body), { status });
  globalThis.fetch = (async (url: string) => {
    if (state.away) throw new TypeError('fetch failed');
    state.asked.push(url);
    if (url === '/api/checklists')
      return answer({
        rows: state.versions.map((_, place) => ({ version: place + 1, note: '', by: 'A', at: '' })).reverse(),
        next: null,
      });
    const [, version] = /checklists\/(\d+)/.exec(url) ?? [];
    if (version)
      return state.versions[Number(version) - 1]
        ? answer({ edits: state.versions[Number(version) - 1] })
        : answer({ message: 'There is no such version here.' }, 404);
    return answer([]);
  }) as unknown as typeof fetch;
  return state;
}

describe('the shelf of checklists', () => {
  const { fetch } = globalThis;
  let server: ReturnType<typeof standIn>;
  beforeEach(() => {
    setActivePinia(createPinia());
    server = standIn();
  });
  after(() => Object.assign(globalThis, { fetch }));

  it('has the newest, and asks for a version once', async () => {
    const shelf = useCatalogue();
    await shelf.ready();
    expect(shelf.version).to.equal(2);
    expect(shelf.newest.edited.has('jab')).to.equal(true);
    await Promise.all([shelf.at(1), shelf.at(2), shelf.ready()]);
    expect(server.asked.filter((url) => /checklists\/\d/.test(url))).to.deep.equal(['/api/checklists/2']);
  });

  it('keeps an old version as it was when a new one comes', async () => {
    const shelf = useCatalogue();
    await shelf.ready();
    const old = await shelf.at(2);
    server.versions.push(noClubEdits);
    await shelf.again();
    expect(shelf.version).to.equal(3);
    expect(shelf.newest.edited.size).to.equal(0);
    expect(await shelf.at(2)).to.equal(old);
  });

  it('is as it ships while the server is away, and asks again when it is needed', async () => {
    server.away = true;
    const shelf = useCatalogue();
    await shelf.ready().then(
      () => expect.fail('The server was away.'),
      (error: unknown) => expect(messageOf(error)).to.include('cannot be reached'),
    );
    expect(techniqueName(shelf.newest, 'jab')).to.equal('Jab');
    server.away = false;
    await shelf.ready();
    expect(shelf.version).to.equal(2);
  });

  it('names by its id what it does not know', async () => {
    const shelf = useCatalogue();
    await shelf.ready();
    expect([techniqueName(shelf.newest, 'own.gone'), checkpointName(shelf.newest, 'own.gone')]).to.deep.equal([
      'own.gone',
      'own.gone',
    ]);
    expect(shelf.book('gone')).to.equal(sixCall);
    await shelf.at(9).then(
      () => expect.fail('There is no version 9.'),
      (error: unknown) => expect(messageOf(error)).to.include('no such version'),
    );
  });
});
