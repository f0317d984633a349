import { proposalFor, usualTail } from '@wax-fist/core/measure';
import { shippedCatalogue, wholeChecklist } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import type { Keys } from '../../app/keys/use-keys.ts';
import { benchContext } from './bench-context.ts';
import type { BenchKey } from './bench-keys.ts';
import { opponentIn } from './row-told.ts';
import type { WalkLine } from './use-walk.ts';
import WalkRow from './WalkRow.vue';

const keys = { drawn: (id: string) => `key-${id}` } as unknown as Keys<BenchKey>;
const row = (id: string, change: Partial<WalkLine> = {}): WalkLine => ({
  ...wholeChecklist(shippedCatalogue, 'jab').find(({ checkpoint }) => checkpoint.id === id)!,
  measured: undefined,
  proposal: undefined,
  beside: undefined,
  ...change,
});
const shown = (line: WalkLine, change: object = {}, stature: number | null = null) =>
  mounted(WalkRow, {
    props: { line, stop: '', open: true, starred: false, dense: false, ...change },
    global: { provide: { [benchContext as symbol]: { keys, data: { session: { trainee: { stature } } } } } },
  });
const snap = (value: number, doubt = 0.01): WalkLine => {
  const line = row('sm.snap');
  return {
    ...line,
    measured: { value, doubt, shared: 0, degrees: usualTail },
    proposal: proposalFor(line.band!, { value, doubt }),
  };
};

describe('a row of the walk', () => {
  onFreshPage();

  it('asks, says what clean looks like, and offers every verdict with its key', () => {
    const line = row('gd.return-line');
    const text = shown(line).text();
    expect(text).to.include(line.checkpoint.question).and.include(line.checkpoint.clean);
    for (const key of ['clean', 'watch', 'fault', 'cant-see']) expect(text).to.include(`key-${key}`);
  });

  it('tells a length in centimetres where the stature of the trainee is known', () => {
    const line = row('gd.return-line');
    const measured = { value: 0.56, doubt: 0.16, shared: 0.1, degrees: usualTail };
    const told = { ...line, measured, proposal: proposalFor(line.band!, measured) };
    expect(shown(told, {}, 170).text()).to.include('14 ± 4 cm, proposed: fault');
    expect(shown(told).text()).to.include('0.56 ± 0.16 forearms');
  });

  it('tells what else is measured of the same thing, with a word of what that would be', () => {
    const beside = (value: number) => ({
      measure: 'home-miss' as const,
      value: { value, doubt: 0.05, shared: 0, degrees: usualTail },
    });
    expect(shown(row('gd.return-line', { beside: beside(1) }), {}, 170).text()).to.include('Home miss: 22 ± 2 cm, fault');
    expect(shown(row('gd.return-line', { beside: beside(0.36) })).text()).to.match(/Home miss: 0\.36 ± 0\.05 heads(?!,)/);
    expect(shown(row('gd.return-line')).text()).to.not.include('Home miss');
  });

  it('says on whom it is held to where it may land, where that is known of both', () => {
    const session = { trainee: { stature: 170 }, holder: { name: 'Bram', stature: 182 } } as never;
    const kick = wholeChecklist(shippedCatalogue, 'low-kick').find(({ checkpoint }) => checkpoint.id === 'sm.target')!;
    const line: WalkLine = { ...kick, measured: undefined, proposal: undefined, beside: undefined };
    expect(opponentIn(line, session)).to.equal('Held to where it may land on somebody as tall as Bram, 182 cm.');
    expect(opponentIn(row('gd.return-line'), session)).to.equal(undefined);
    expect(opponentIn(line, { trainee: { stature: null }, holder: null } as never)).to.equal(undefined);
  });

  it('says why a row that has no band is not measured', () => {
    const measured = { value: undefined, reason: 'One camera cannot tell.' };
    expect(shown(row('gd.return-line', { band: undefined, measured })).text()).to.include('One camera cannot tell.');
  });

  it('goes to the frame that decides it, where that is told', async () => {
    const line = row('gd.return-line');
    const measured = { value: 0.56, doubt: 0.16, shared: 0.1, degrees: usualTail };
    const told = { ...line, measured, proposal: proposalFor(line.band!, measured) };
    expect(shown(told).find('.see').exists()).to.equal(false);
    const wrapper = shown(told, { decided: '+133 ms' });
    expect(wrapper.find('.see').text()).to.match(/See it at \+133 ms\s+key-see-row/);
    await wrapper.find('.see').trigger('click');
    expect(wrapper.emitted('see')).to.have.length(1);
  });

  it('tells which verdict was pressed, and shows the one that was given', async () => {
    const wrapper = shown(row('gd.return-line'), { word: { verdict: 'watch', note: null } });
    const buttons = wrapper.findAll('.verdicts button');
    expect(buttons.map((one) => one.attributes('aria-pressed'))).to.deep.equal(['false', 'true', 'false', 'false']);
    await buttons[2]!.trigger('click');
    expect(wrapper.emitted('judge')).to.deep.equal([['fault']]);
  });

  it('draws a proposal as one, until the coach has spoken', async () => {
    const wrapper = shown(snap(9));
    expect(wrapper.find('.line .proposed').attributes('aria-label')).to.equal('Proposed: Fault');
    expect(wrapper.text()).to.include('proposed: fault');
    await wrapper.setProps({ word: { verdict: 'clean', note: null } as never });
    expect(wrapper.find('.line .proposed').exists()).to.equal(false);
    expect(wrapper.find('.line .verdict').attributes('aria-label')).to.equal('Clean');
  });

  const doubts: [what: string, line: WalkLine, says: string][] = [
    ['a value that is too close', snap(snapEdge(), 2), 'too close to call'],
    [
      'a reason for no value',
      { ...row('sm.snap'), measured: { value: undefined, reason: 'Film it faster.' } },
      'Film it faster.',
    ],
    ['what is no fault here', { ...snap(9), reported: true }, 'Told only: no fault in this school.'],
    [
      'a row against the view',
      row('gd.return-line', { shown: false, reason: 'film from the side' }),
      'Judged anyway: film from the side',
    ],
  ];
  for (const [what, line, says] of doubts) it(`says ${what}`, () => expect(shown(line).text()).to.include(says));

  it('folded and dense has its short name, and opens when it is picked', async () => {
    const line = row('gd.return-line');
    const wrapper = shown(line, { open: false, dense: true, word: { verdict: null, note: 'elbow' } });
    expect(wrapper.text()).to.include(line.checkpoint.name).and.not.include(line.checkpoint.question);
    expect(wrapper.html()).to.include('Note: elbow');
    await wrapper.find('.line').trigger('click');
    expect(wrapper.emitted('pick')).to.have.length(1);
  });
});

/** The end of what is clean. */
function snapEdge(): number {
  return row('sm.snap').band!.clean[1]!;
}
