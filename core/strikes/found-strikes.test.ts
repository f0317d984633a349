import { expect } from 'chai';
import { noHitEdits } from '../sound/hit.ts';
import { believedStrikes, foundStrikes, isSureOf } from './found-strikes.ts';
import type { SeenStrike } from './see-strikes.ts';

const seen = (time: number, chance = 0.8, name = 'jab'): SeenStrike => ({
  time,
  chance,
  names: [
    { technique: name, chance: 0.9 },
    { technique: 'cross', chance: 0.1 },
  ],
});
const heard = (time: number, prominence = 0.8) => ({ time, prominence });
/** From the side hardly anything is hidden. */
const always = (): number => 0.15;

describe('ear and eye as one', () => {
  it('take the time from the sound and the name from the sight, and are surer together', () => {
    const [one, ...more] = foundStrikes([heard(1012)], [seen(1033)], always);
    expect(more).to.have.length(0);
    expect(one!.time).to.equal(1012);
    expect(one!.from).to.deep.equal(['sound', 'sight']);
    expect(one!.names[0]!.technique).to.equal('jab');
    expect(one!.prominence).to.be.above(0.9);
  });

  it('let fall what is heard while nothing of this trainee is out there', () => {
    const [step] = foundStrikes([heard(1000, 0.95)], [], always);
    expect(step!.prominence).to.be.below(0.2);
    expect(step!.names).to.deep.equal([]);
  });

  it('keep what is only heard where nobody is seen', () => {
    const [hit] = foundStrikes([heard(1000, 0.95)], [], () => 1);
    expect(hit!.prominence).to.equal(0.95);
    expect(hit!.from).to.deep.equal(['sound']);
  });

  it('keep what is only seen: shadow, a miss, a slip', () => {
    const [slip] = foundStrikes([], [seen(500, 0.7, 'slip')], always);
    expect(slip).to.include({ time: 500, prominence: 0.7 });
    expect(slip!.from).to.deep.equal(['sight']);
  });

  it('give each sound to one strike: the nearest and likeliest', () => {
    const found = foundStrikes([heard(1000), heard(1150)], [seen(1010), seen(1140, 0.8, 'cross')], always);
    expect(found.map(({ time }) => time)).to.deep.equal([1000, 1150]);
    expect(found.every(({ from }) => from.length === 2)).to.equal(true);
  });

  it('are in order of time, and what a coach took out is not believed any more', () => {
    const found = foundStrikes([heard(2000, 0.9)], [seen(500), seen(1990)], always);
    expect(found.map(({ time }) => time)).to.deep.equal([500, 2000]);
    expect(believedStrikes(found, { ...noHitEdits, removed: [500] }).map(({ time }) => time)).to.deep.equal([2000]);
  });

  it('are ours when they are seen, however quiet; what is only heard is ours from a level on', () => {
    const sound = { level: -15, attack: 2, decay: 30, brightness: 0.2, snap: 0.5 };
    const quiet = foundStrikes([{ time: 1000, prominence: 0.9, sound }], [seen(1000)], always);
    const far = foundStrikes([{ time: 1000, prominence: 0.9, sound }], [], () => 1);
    const belief = { ...noHitEdits, leastLevel: -10 };
    expect(believedStrikes(quiet, belief)).to.have.length(1);
    expect(believedStrikes(far, belief)).to.have.length(0);
    expect(believedStrikes(far, noHitEdits)).to.have.length(1);
  });

  it('are unsure of a name as long as another is nearly as likely', () => {
    const [one] = foundStrikes([heard(1000, 0.97)], [seen(1000, 0.97)], always);
    expect(isSureOf(one!)).to.equal(true);
    expect(isSureOf({ ...one!, names: [{ technique: 'jab', chance: 0.55 }] })).to.equal(false);
    expect(isSureOf({ ...one!, names: [] })).to.equal(false);
  });
});
