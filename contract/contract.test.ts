import { inspect } from 'node:util';
import { expect } from 'chai';
import fc from 'fast-check';
import { v4, v7 } from 'uuid';
import { correctionDraftShape, correctionEventDraftShape } from './corrections.ts';
import { filledPath, roles, type Endpoint } from './endpoint.ts';
import { endpoints } from './endpoints.ts';
import { filmDraftShape } from './footage.ts';
import { markBatchShape, markShape } from './review.ts';
import { day, id, instant, note } from './shapes.ts';

describe('endpoints', () => {
  const all = Object.entries<Endpoint>(endpoints);

  it('have addresses of their own', () => {
    const addresses = all.map(([, { method, path }]) => `${method} ${path.replace(/:\w+/g, ':')}`);
    expect(new Set(addresses).size).to.equal(addresses.length);
  });

  for (const [name, endpoint] of all) {
    it(`${name} lies below /api, says who may, and sends a body only with a method that has one`, () => {
      expect(endpoint.path).to.match(/^\/api\//);
      if (endpoint.allowed !== 'anyone') expect(roles).to.include.members(Object.keys(endpoint.allowed));
      if (endpoint.body) expect(endpoint.method).to.be.oneOf(['POST', 'PUT', 'PATCH']);
    });
  }

  it('only sign-in, sign-out, health, and what stands behind links are for anyone', () => {
    const open = all.filter(([, { allowed }]) => allowed === 'anyone').map(([name]) => name);
    expect(open).to.have.members(['signIn', 'signOut', 'health', 'sharedCard', 'sharedStill', 'behindLink', 'join', 'reset']);
  });

  it('fill their parameters in so that nothing leaks into the path', () => {
    expect(filledPath('/api/films/:filmId/marks', { filmId: 'a/../b?c' })).to.equal('/api/films/a%2F..%2Fb%3Fc/marks');
  });
});

describe('shapes', () => {
  const table: [what: string, valid: (value: unknown) => boolean, good: unknown[], bad: unknown[]][] = [
    ['an id', (value) => id().isValidSync(value), [v7(), v4()], ['', 'one', v7().slice(1), `${v7()}'`, null]],
    [
      'a day',
      (value) => day().isValidSync(value),
      ['2026-02-28', '2024-02-29', undefined],
      ['2026-02-29', '2026-02-31', '2026-13-01', '26-01-01', '2026-1-1', '2026-01-01T00:00'],
    ],
    [
      'an instant',
      (value) => instant().isValidSync(value),
      [new Date(0).toISOString(), '2026-05-01T12:00:00+02:00'],
      ['soon', '', undefined],
    ],
    ['a note', (value) => note().isValidSync(value), ['', 'x'.repeat(2000)], ['x'.repeat(2001)]],
  ];
  for (const [what, valid, good, bad] of table) {
    for (const value of good) it(`${String(value).slice(0, 30)} is ${what}`, () => expect(valid(value)).to.equal(true));
    for (const value of bad) it(`${inspect(value).slice(0, 30)} is not ${what}`, () => expect(valid(value)).to.equal(false));
  }

  it('every day of the calendar is a day', () => {
    fc.assert(
      fc.property(fc.date({ min: new Date('1990-01-01'), max: new Date('2090-01-01'), noInvalidDate: true }), (date) => {
        expect(day().isValidSync(date.toISOString().slice(0, 10))).to.equal(true);
      }),
    );
  });

  it('an upload cannot be named by a path', () => {
    const draft = { id: v7(), sessionId: v7(), uploadId: '../../secret', fileName: 'a.mp4', view: 'front' };
    expect(filmDraftShape.isValidSync(draft)).to.equal(false);
    expect(filmDraftShape.isValidSync({ ...draft, uploadId: 'a1b2c3' })).to.equal(true);
  });

  it('a batch of marks may be mixed, and each is checked by its own kind', () => {
    const strike = {
      kind: 'strike',
      id: v7(),
      strikeId: v7(),
      saidAt: new Date().toISOString(),
      technique: 'jab',
      launchFrame: 1,
      contactFrame: 2,
      homeFrame: 3,
      removed: false,
    };
    const word = {
      kind: 'observation',
      id: v7(),
      strikeId: v7(),
      saidAt: new Date().toISOString(),
      checkpointId: 'st.chin',
      verdict: null,
      note: null,
      view: 'front',
      checklistVersion: 1,
    };
    const holds = (...entries: unknown[]) => entries.every((mark) => markShape.isValidSync(mark));
    expect(holds(strike, word)).to.equal(true);
    expect(holds({ ...strike, homeFrame: 0 })).to.equal(false);
    expect(holds({ ...word, verdict: undefined })).to.equal(false);
    expect(holds({ ...strike, kind: 'observation' })).to.equal(false);
    for (const kind of ['pin', undefined, null, 7, 'toString']) expect(holds({ ...strike, kind }), String(kind)).to.equal(false);
    expect(holds(null)).to.equal(false);
    expect(markShape.validateSync(strike)).to.include({ launchOrigin: 'guessed', contactOrigin: 'set', homeOrigin: 'guessed' });
    expect(holds({ ...strike, homeOrigin: 'dreamt' })).to.equal(false);
    expect(markBatchShape.isValidSync({ marks: [strike, 'rubbish'] }), 'each mark is checked by itself').to.equal(true);
    expect(markBatchShape.isValidSync({ marks: 'rubbish' })).to.equal(false);
  });

  it('a correction’s cue is trimmed and short; its re-check may be left open', () => {
    const draft = {
      id: v7(),
      sessionId: v7(),
      checkpointId: 'st.chin',
      technique: 'jab',
      cue: '  Chin ',
      target: 0.1,
      recheckOn: null,
    };
    expect(correctionDraftShape.validateSync(draft).cue).to.equal('Chin');
    expect(correctionDraftShape.isValidSync({ ...draft, cue: 'x'.repeat(81) })).to.equal(false);
    expect(correctionEventDraftShape.isValidSync({ id: v7(), kind: 'closed', sessionId: null, note: '' })).to.equal(true);
  });
});
