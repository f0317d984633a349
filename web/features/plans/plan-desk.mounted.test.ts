import { flushPromises } from '@vue/test-utils';
import type { Correction } from '@wax-fist/contract/corrections';
import type { PlanDraft } from '@wax-fist/contract/plans';
import type { Trainee } from '@wax-fist/contract/trainees';
import { readySchools } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { effectScope } from 'vue';
import { v7 as uuid } from 'uuid';
import { onFreshPage } from '../../test/mounted.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import type { Limit } from '@wax-fist/contract/limits';
import { limitsOn, type PlanGround } from './plan-ground.ts';
import { rememberedKit } from './plan-kit.ts';
import { usePlanDesk, type PlanDesk } from './use-plan-desk.ts';

const trainee: Trainee = {
  ...{ id: uuid(), name: 'Somebody', stance: 'orthodox', grade: 'improver', note: '', stature: null, reach: null },
  ...{ ageGroup: 'adult', schoolId: null },
};
const correction = (change: Partial<Correction> = {}): Correction => ({
  ...{ id: uuid(), traineeId: trainee.id, traineeName: 'Somebody', checkpointId: 'gd.return-line', technique: 'jab' },
  ...{ cue: 'Touch home', target: 0.15, openedIn: uuid(), openedOn: '2026-01-01', recheckOn: '2026-02-01', state: 'working' },
  ...{ rung: 3, topRung: 6, newestSession: uuid(), counted: null, history: [] },
  ...change,
});

const schools = readySchools.map((school) => ({ ...school, ready: true, clubDefault: school === readySchools[0] }));

describe('a session on the desk', () => {
  const { fetch } = globalThis;
  let sent: PlanDraft | undefined;
  const scopes: ReturnType<typeof effectScope>[] = [];
  onFreshPage();
  beforeEach(() => {
    localStorage.clear();
    sent = undefined;
    globalThis.fetch = ((path: string, { body }: RequestInit = {}) => {
      if (path.includes('week-impact')) return Promise.resolve(Response.json({ impact: 0 }));
      if (path.startsWith('/api/plans/')) {
        sent = JSON.parse(body as string) as PlanDraft;
        return Promise.resolve(Response.json(sent));
      }
      if (path === '/api/schools') return Promise.resolve(Response.json(schools));
      return Promise.resolve(Response.json(path.startsWith('/api/checklists') ? { rows: [{ version: 1 }], next: null } : []));
    }) as unknown as typeof globalThis.fetch;
  });
  afterEach(() => scopes.splice(0).forEach((scope) => scope.stop()));
  after(() => Object.assign(globalThis, { fetch }));

  const deskOf = async (ground: Partial<PlanGround> = {}): Promise<PlanDesk> => {
    await useCatalogue().ready();
    const scope = effectScope();
    scopes.push(scope);
    const desk = scope.run(() =>
      usePlanDesk({ trainee, corrections: [correction()], answers: [], limits: [], onCourse: undefined, ...ground }),
    )!;
    await flushPromises();
    return desk;
  };
  const kinds = (desk: PlanDesk): string[] => desk.parts.value.map(({ kind }) => kind);

  it('is planned anew with what it is planned from, until a hand has changed it', async () => {
    const desk = await deskOf();
    expect(kinds(desk)).to.include.members(['low', 'up', 're-check']);
    desk.asked.minutes = 20;
    await flushPromises();
    expect(desk.takes.value).to.be.at.most(1200);
    desk.remove(desk.parts.value.find(({ kind }) => kind === 're-check')!);
    desk.asked.minutes = 60;
    await flushPromises();
    expect(kinds(desk)).not.to.include('re-check');
    desk.planAnew();
    expect(kinds(desk)).to.include('re-check');
  });

  it('takes every change back, and does it again', async () => {
    const desk = await deskOf();
    const { value: first } = desk.parts;
    desk.changed(first[1]!, { rounds: 9 });
    desk.move(1, 1);
    desk.undo();
    desk.undo();
    expect(desk.parts.value).to.deep.equal(first);
    expect(desk.canUndo.value).to.equal(false);
    desk.redo();
    expect(desk.parts.value[1]!.rounds).to.equal(9);
  });

  it('says what a hand breaks, live', async () => {
    const desk = await deskOf();
    expect(desk.problems.value).to.deep.equal([]);
    desk.changed(
      desk.parts.value.find(({ kind }) => kind === 'up')!,
      { rounds: 12 },
    );
    expect(desk.problems.value.map(({ says }) => says).join()).to.include('the most here');
    desk.planAnew();
    desk.asked.leads = 'usual only';
    await flushPromises();
    expect(desk.problems.value.map(({ hard }) => hard)).to.deep.equal([false]);
  });

  it('offers only drills that are for this trainee, in place of one and besides', async () => {
    const hurt = {
      id: uuid(),
      traineeId: trainee.id,
      part: 'wrist',
      since: '2026-01-01',
      until: null,
      note: '',
      clearedBy: '',
      steps: [],
    } satisfies Limit;
    const desk = await deskOf({ limits: [hurt] });
    const low = desk.parts.value.find(({ kind }) => kind === 'low')!;
    const instead = desk.drillsInstead(low);
    expect(instead.length).to.be.above(0);
    for (const drill of instead) expect(drill.loads).not.to.include('wrist');
    desk.withDrill(low, instead.at(-1)!);
    expect(desk.parts.value.find(({ id }) => id === low.id)!).to.include({ drillId: instead.at(-1)!.id, kind: 'low' });
    expect(limitsOn([{ ...hurt, until: '2026-01-09' }], '2026-01-10')).to.deep.equal([]);
  });

  it('films what is looked at again from where a camera settles it', async () => {
    const desk = await deskOf();
    const { filming } = desk.taken.value;
    const check = desk.parts.value.find(({ kind }) => kind === 're-check')!;
    expect(check.shot!.view).to.equal(filming.places[0]!.view);
  });

  it('is saved as it stands, and what is there is remembered', async () => {
    const desk = await deskOf();
    desk.asked.kit = ['long bag'];
    await flushPromises();
    await desk.save();
    expect(sent).to.deep.include({ id: desk.id, traineeId: trainee.id, length: 3600, kit: ['long bag'] });
    expect(sent!.parts).to.deep.equal(desk.parts.value);
    expect(rememberedKit().kit).to.deep.equal(['long bag']);
    localStorage.setItem('wax.plan-kit', '{"kit":["sofa"]}');
    expect(rememberedKit().kit).to.deep.equal(['heavy bag']);
  });
});
