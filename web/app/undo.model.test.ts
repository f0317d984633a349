import { expect } from 'chai';
import fc from 'fast-check';
import { oneUndo } from './one-undo.ts';
import { makeUndo, type Undo } from './undo.ts';

/** What undo is, told simply: all that was done, and how far of it counts. */
interface Model {
  done: number[];
  counts: number;
}
interface Real {
  undo: Undo<number>;
  value: number;
}
type Command = fc.Command<Model, Real>;

const valueOf = ({ done, counts }: Model): number => done[counts - 1] ?? 0;
function agree(model: Model, real: Real): void {
  expect(real.value).to.equal(valueOf(model));
  expect(real.undo.canUndo.value).to.equal(model.counts > 0);
  expect(real.undo.canRedo.value).to.equal(model.counts < model.done.length);
}

class Do implements Command {
  constructor(readonly next: number) {}
  check = (): boolean => true;
  run(model: Model, real: Real): void {
    model.done.splice(model.counts, Infinity, this.next);
    model.counts++;
    real.undo.did({ before: [real.value], after: [this.next] });
    real.value = this.next;
    agree(model, real);
  }
  toString = (): string => `do ${this.next}`;
}
class Back implements Command {
  check = (): boolean => true;
  run(model: Model, real: Real): void {
    model.counts = Math.max(0, model.counts - 1);
    real.value = real.undo.back()?.[0] ?? real.value;
    agree(model, real);
  }
  toString = (): string => 'undo';
}
class Forth implements Command {
  check = (): boolean => true;
  run(model: Model, real: Real): void {
    model.counts = Math.min(model.done.length, model.counts + 1);
    real.value = real.undo.forth()?.[0] ?? real.value;
    agree(model, real);
  }
  toString = (): string => 'redo';
}
class Forget implements Command {
  check = (): boolean => true;
  run(model: Model, real: Real): void {
    Object.assign(model, { done: [], counts: 0 });
    real.undo.clear();
    real.value = 0;
    agree(model, real);
  }
  toString = (): string => 'forget';
}

describe('undo, whatever is done in whatever order', () => {
  it('agrees with its model', () => {
    const commands = fc.commands([
      fc.nat(99).map((next) => new Do(next)),
      fc.constant(new Back()),
      fc.constant(new Forth()),
      fc.constant(new Forget()),
    ]);
    fc.assert(
      fc.property(commands, (list) =>
        fc.modelRun(() => ({ model: { done: [], counts: 0 }, real: { undo: makeUndo<number>(), value: 0 } }), list),
      ),
      { numRuns: 300 },
    );
  });

  it('is one for several lines: the latest step goes first, and comes back last', () => {
    const steps = fc.array(fc.boolean(), { minLength: 1, maxLength: 20 });
    fc.assert(
      fc.property(steps, (which) => {
        const walked: (number | undefined)[] = [];
        const lines = [makeUndo<number>(), makeUndo<number>()].map((line) => ({
          did: line.did,
          backAt: line.backAt,
          forthAt: line.forthAt,
          get canUndo() {
            return line.canUndo.value;
          },
          get canRedo() {
            return line.canRedo.value;
          },
          undo: () => walked.push(line.back()?.[0]),
          redo: () => walked.push(line.forth()?.[0]),
        }));
        const all = oneUndo(lines);
        which.forEach((second, place) => lines[Number(second)]!.did({ before: [place], after: [place + 1] }));
        for (const second of [...which].reverse()) expect(all.undo()).to.equal(lines[Number(second)]);
        expect(all.canUndo.value).to.equal(false);
        expect(walked.splice(0)).to.deep.equal(which.map((_, place) => which.length - 1 - place));
        expect(all.undo()).to.equal(undefined);
        while (all.canRedo.value) all.redo();
        expect(walked).to.deep.equal(which.map((_, place) => place + 1));
      }),
    );
  });
});
