import { expect } from 'chai';
import { tmpdir } from 'node:os';
import { runWax } from './run-wax.ts';

describe('bin/wax call, checklist and match', function () {
  this.timeout(60_000);
  const wax = (...words: string[]) => runWax(tmpdir(), words);

  const said: [words: string[], out: string][] = [
    [['call', '1-2b-(3-2)x2', '--book', 'six', '--to', 'eight'], '1-2b-(3-2)x2'],
    [['call', '1-2b-(3-2)x2', '--to', 'words'], 'jab, body straight, (lead hook, cross)x2'],
    [['call', '1-2-3', '--to', 'mirror'], 'right jab, left cross, right hook'],
    [['call', '4', '--book', 'eight', '--to', 'six'], '5'],
  ];
  for (const [words, out] of said) {
    it(words.join(' '), async () => expect(await wax(...words)).to.include({ code: 0, out: `${out}\n` }));
  }

  it('say what the other book has no number for', async () => {
    const { out, said: warned, code } = await wax('call', '1-4', '--to', 'eight');
    expect([code, out]).to.deep.equal([0, '1, rear hook\n']);
    expect(warned).to.include('Eight-call has no number for: rear hook');
    const { out: json } = await wax('call', '1-4', '--to', 'eight', '--json');
    expect(JSON.parse(json)).to.deep.equal({
      said: '1, rear hook',
      techniques: ['jab', 'rear-hook'],
      withoutNumber: ['rear hook'],
    });
  });

  it('put a sign under what cannot be read', async () => {
    const { code, out, said: warned } = await wax('call', '1-9-2');
    expect([code, out]).to.deep.equal([1, '']);
    expect(warned).to.include('1-9-2\n  ^ Six-call has no 9.');
    expect((await wax('call', '1', '--to', 'latin')).code).to.equal(2);
  });

  it('print a checklist for a school and a view', async () => {
    const { out } = await wax('checklist', 'jab', '--school', 'Square and ready', '--view', 'lead-side', '--json');
    const { rows, name } = JSON.parse(out) as {
      name: string;
      rows: { id: string; shown: boolean; reason: string; band: { clean: number[] } }[];
    };
    expect(name).to.equal('Jab');
    expect(rows.find(({ id }) => id === 'sm.extension')!.band.clean).to.deep.equal([148, 168]);
    expect(rows.find(({ id }) => id === 'st.width')).to.include({ shown: false });
    const kick = await wax('checklist', 'roundhouse');
    expect(kick.out).to.include('Rear round kick').and.include('Does the standing foot turn');
    expect(kick.out).to.include('clean from 75, watch from 45');
  });

  it('offer what there is for what there is not', async () => {
    const technique = await wax('checklist', 'hook');
    expect([technique.code, technique.said.includes('lead-hook')]).to.deep.equal([1, true]);
    const school = await wax('checklist', 'jab', '--school', 'Nowhere');
    expect([school.code, school.said.includes('Long lines')]).to.deep.equal([1, true]);
  });

  it('hold what was seen against what was planned', async () => {
    const { out } = await wax('match', '--planned', '1-2-3-2', '--seen', '1-3-2-2', '--json');
    const { score, steps } = JSON.parse(out) as { score: number; steps: { kind: string }[] };
    expect(steps.map(({ kind }) => kind)).to.deep.equal(['as planned', 'swapped', 'as planned']);
    expect(score).to.equal(0.75);
    expect((await wax('match', '--planned', '1-2-3', '--seen', '1-2')).out)
      .to.include('left out')
      .and.include('67%');
    expect((await wax('match', '--planned', '1')).code).to.equal(2);
  });
});
