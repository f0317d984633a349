import { filledPath, type Endpoint } from '@wax-fist/contract/endpoint';
import { endpoints } from '@wax-fist/contract/endpoints';
import { expect } from 'chai';
import { v7 as uuid } from 'uuid';
import type { SchemaFieldDescription, SchemaObjectDescription } from 'yup';
import { atSecond, observed, thrown } from './marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from './server-under-test.ts';

/** What strangers put where a text, a number or a date is expected; written as it goes over the wire. */
const hostile: readonly string[] = [
  'null',
  '""',
  '"a\\u0000b"',
  '"\\ud800"',
  '[]',
  '["x"]',
  '{}',
  '{"__proto__":{"a":1},"constructor":1}',
  '-1',
  '1.5',
  '2147483648',
  '1e15',
  '1e308',
  '1e999',
  'true',
  `"${'x'.repeat(50_000)}"`,
  '"9999-99-99"',
  '"0000-01-01"',
  '"-271821-04-20T00:00:00Z"',
  '"+275760-09-13T00:00:00Z"',
  '"toString"',
  `${'['.repeat(2000)}${']'.repeat(2000)}`,
];
/**
 * Every value is tried at every third field, another third for the next value and the next endpoint: WAX_FUZZ=whole tries all of
 * them, which takes three times as long.
 */
const stride = process.env.WAX_FUZZ === 'whole' ? 1 : 3;

const longestRefusal = 5000;
const hostilePlaces = ['%00', 'x', '2147483648', '-1', '__proto__', 'a'.repeat(4000), '%F0%9F%A5%8A', "'%20or%201=1", '..%2F..'];

/** Something that a field would take, as far as its shape says. */
function plausible(name: string, field: SchemaFieldDescription, scene: ClubScene): unknown {
  const { type } = field;
  // A shape that depends on what is given lists nothing.
  const [first] = 'oneOf' in field ? field.oneOf : [];
  if (name in scene) return scene[name as keyof ClubScene];
  if (first !== undefined) return first;
  if (type === 'object') return plausibleOf(field as SchemaObjectDescription, scene);
  if (type === 'array') return [];
  if (type === 'number') return 1;
  if (type === 'boolean') return false;
  if (/id$/i.test(name)) return uuid();
  return /on$/i.test(name) ? '2026-03-01' : 'jab';
}
const plausibleOf = ({ fields }: SchemaObjectDescription, scene: ClubScene): Record<string, unknown> =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, plausible(name, field, scene)]));

describe('whatever strangers send', function () {
  this.timeout(240_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('head-coach');
    scene = await addScene(server);
  });
  after(() => server.stop());

  const wrong: string[] = [];
  async function send(endpoint: Endpoint, path: string, body?: string): Promise<void> {
    const response = await coach.fetch(path, {
      method: endpoint.method,
      headers: body === undefined ? {} : { 'content-type': 'application/json' },
      body,
    });
    const told = await response.text();
    // A refusal names what is wrong and does not repeat it: it stays short, whatever was sent.
    if (response.status >= 500 || (!response.ok && told.length > longestRefusal))
      wrong.push(
        `${endpoint.method} ${path.slice(0, 80)} ${body?.slice(0, 300) ?? ''} → ${response.status}, ${told.length} letters: ${told.slice(0, 40)}`,
      );
  }
  const paramsOf = ({ path }: Endpoint): Record<string, string> =>
    Object.fromEntries(
      [...path.matchAll(/:(\w+)/g)].map(([, name = '']) => [name, (scene as unknown as Record<string, string>)[name] ?? uuid()]),
    );

  // Signing in is slowed down after ten of these, and a signed-out visitor would see nothing more.
  const all = Object.entries<Endpoint>(endpoints).filter(([name]) => name !== 'signOut' && name !== 'signIn');
  for (const [turn, [name, endpoint]] of all.entries()) {
    it(`${name}: is never what the server stumbles over`, async () => {
      wrong.length = 0;
      const params = paramsOf(endpoint);
      for (const param of Object.keys(params))
        for (const [at, place] of hostilePlaces.entries()) {
          if ((at + turn) % stride !== 0) continue;
          const filled = filledPath(endpoint.path, { ...params, [param]: '@@' }).replace(encodeURIComponent('@@'), place);
          await send(endpoint, filled, endpoint.body && '{}');
        }
      for (const query of [
        '?after=x',
        '?after[]=1',
        '?after=%00',
        '?state=__proto__',
        '?after=WzFd',
        `?after=${'a'.repeat(3000)}`,
      ])
        if (endpoint.method === 'GET') await send(endpoint, `${filledPath(endpoint.path, params)}${query}`);
      if (!endpoint.body) return void expect(wrong).to.deep.equal([]);
      const shape = endpoint.body.describe() as SchemaObjectDescription;
      const whole = plausibleOf(shape, scene);
      const path = filledPath(endpoint.path, params);
      if ('id' in whole) whole.id = Object.values(params).at(-1);
      for (const text of [...hostile, '', '{', JSON.stringify(whole)]) await send(endpoint, path, text);
      for (const [column, field] of Object.keys(whole).entries())
        for (const [at, text] of hostile.entries()) {
          if ((at + column + turn) % stride !== 0) continue;
          const body = JSON.stringify({ ...whole, [field]: '@@' }).replace('"@@"', () => text);
          await send(endpoint, path, body);
        }
      expect(wrong).to.deep.equal([]);
    });
  }

  it('marks with any field spoiled are refused one by one, and the good one beside them is kept', async () => {
    const strikeId = uuid();
    await coach.ask(endpoints.writeMarks, { filmId: scene.filmId }, { marks: [thrown(strikeId)] });
    for (const mark of [thrown(uuid()), observed(strikeId, 'clean')])
      for (const field of Object.keys(mark)) {
        const good = observed(strikeId, 'fault', { saidAt: atSecond(5) });
        const marks = [...hostile.map(() => ({ ...mark, [field]: '@@' })), good];
        let place = 0;
        const body = JSON.stringify({ marks }).replaceAll('"@@"', () => hostile[place++]!);
        const response = await coach.fetch(`/api/films/${scene.filmId}/marks`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json' },
          body,
        });
        expect(response.status, field).to.equal(200);
        const { kept } = (await response.json()) as { kept: string[] };
        expect(kept, field).to.include(good.id);
      }
  });
});
