import { flushPromises } from '@vue/test-utils';
import { expect } from 'chai';
import { effectScope } from 'vue';
import { onFreshPage } from '../../test/mounted.ts';
import { useSetUp, type SetUp } from './use-set-up.ts';

describe('a set-up', () => {
  const { fetch } = globalThis;
  const scopes: ReturnType<typeof effectScope>[] = [];
  onFreshPage();
  beforeEach(() => {
    localStorage.clear();
    globalThis.fetch = () =>
      Promise.resolve(
        Response.json({ rows: [{ id: 'm', name: 'Maren', stance: 'orthodox', stature: 168, reach: 66 }], next: null }),
      );
  });
  afterEach(() => scopes.splice(0).forEach((scope) => scope.stop()));
  after(() => Object.assign(globalThis, { fetch }));
  const begun = async (trainee?: string): Promise<SetUp> => {
    const scope = effectScope();
    scopes.push(scope);
    const setUp = scope.run(() => useSetUp(trainee))!;
    await flushPromises();
    return setUp;
  };

  it('begins with the trainee’s own measures', async () => {
    const { body, typed } = await begun('m');
    expect(body.value).to.deep.equal({ stature: 168, measured: { reach: 66 } });
    expect(typed).to.include({ stature: '168 cm', reach: '66 cm' });
  });

  it('says what cannot be, and keeps the drawing as it was', async () => {
    const { body, typed, problems } = await begun();
    typed.stature = '17 m';
    await flushPromises();
    expect(problems.value.stature).to.equal('Stature: 1700 cm cannot be; from 90 cm to 230 cm.');
    expect(body.value.stature).to.equal(175);
    typed.stature = '';
    await flushPromises();
    expect(problems.value).to.deep.equal({});
  });

  it('goes from one system of units to the other and back, and begins again in that of whoever looks at it', async () => {
    const setUp = await begun('m');
    setUp.units.value = 'imperial';
    await flushPromises();
    expect(setUp.typed.stature).to.equal('5′ 6″');
    expect((await begun()).units.value).to.equal('metric');
    setUp.units.value = 'metric';
    await flushPromises();
    expect(setUp.typed.stature).to.equal('168 cm');
  });

  it('takes an opponent of one’s own height where none is told', async () => {
    const { opponent, typed } = await begun('m');
    expect(opponent.value.stature).to.equal(168);
    typed.opponent = '180';
    await flushPromises();
    expect(opponent.value.stature).to.equal(180);
  });
});
