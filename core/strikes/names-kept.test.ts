import { expect } from 'chai';
import type { FoundStrike } from './found-strikes.ts';
import { namesKept, namesSaid, sureAndKept, type NamedStrike } from './names-kept.ts';

const found = (time: number, technique: string, prominence = 0.9, chance = 1): FoundStrike => ({
  ...{ time, prominence, from: ['sight'], sound: undefined },
  names: [{ technique, chance }],
});
const tagged = (time: number, technique: string): NamedStrike => ({ id: `at ${time}`, technique, time });
const saidIn = ({ said }: ReturnType<typeof namesSaid>) =>
  said.map((one) => `${one.found} ${one.said === 'nothing' ? 'nothing' : one.said.technique}`);

describe('what coaches made of names that were found', () => {
  it('is the strike that is tagged there, or that there was none', () => {
    const told = namesSaid(
      [found(1000, 'jab'), found(1400, 'cross'), found(2000, 'slip')],
      [tagged(1010, 'jab'), tagged(1390, 'overhand')],
      [2000],
    );
    expect(saidIn(told)).to.deep.equal(['jab jab', 'cross overhand', 'slip nothing']);
    expect(told.missed).to.deep.equal([]);
  });

  it('says nothing of what nobody looked at, nor of what has no name', () => {
    const heard: FoundStrike = { ...found(1000, 'jab'), names: [] };
    expect(saidIn(namesSaid([heard, found(3000, 'jab')], [tagged(1000, 'jab')], []))).to.deep.equal([]);
  });

  it('tells what is tagged and was not found, each tag meant once and by the nearest', () => {
    const { said, missed } = namesSaid(
      [found(1000, 'jab'), found(1150, 'cross')],
      [tagged(1080, 'cross'), tagged(5000, 'jab')],
      [],
    );
    expect(said.map((one) => one.found)).to.deep.equal(['cross']);
    expect(missed.map(({ time }) => time)).to.deep.equal([5000]);
  });

  it('is counted name by name, those that were changed most often first', () => {
    const { said } = namesSaid(
      [found(0, 'jab'), found(1000, 'jab'), found(2000, 'cross'), found(3000, 'cross'), found(4000, 'cross')],
      [tagged(0, 'jab'), tagged(1000, 'jab'), tagged(2000, 'overhand'), tagged(3000, 'overhand')],
      [4000],
    );
    const [cross, jab] = namesKept(said);
    expect(cross).to.deep.include({ found: 'cross', strikes: 3, kept: 0 });
    expect(cross!.otherwise.map(({ said: instead, strikes }) => [instead, strikes.length])).to.deep.equal([
      ['overhand', 2],
      [null, 1],
    ]);
    expect(jab).to.deep.equal({ found: 'jab', strikes: 2, kept: 2, otherwise: [] });
  });

  it('tells whether names are as sure as they claim', () => {
    const { said } = namesSaid(
      [found(0, 'jab', 0.95), found(1000, 'jab', 0.95), found(2000, 'jab', 0.9, 0.7), found(3000, 'jab', 1, 1)],
      [tagged(0, 'jab'), tagged(1000, 'cross'), tagged(2000, 'jab'), tagged(3000, 'jab')],
      [],
    );
    const [surest, unsure] = sureAndKept(said);
    expect(surest).to.deep.include({ from: 0.9, to: 1, strikes: 3 });
    expect(surest!.kept).to.be.closeTo(2 / 3, 1e-9);
    expect(unsure).to.deep.include({ from: 0.5, to: 0.75, strikes: 1, kept: 1 });
    expect(unsure!.claimed).to.be.closeTo(0.63, 1e-9);
    expect(sureAndKept([])).to.deep.equal([]);
  });
});
