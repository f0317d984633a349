import type { Seconds } from '@wax-fist/core/units';
import {
  checklistFor,
  isMeasureId,
  shippedCatalogue,
  switches,
  usualSchool,
  verdictIn,
  type BandVerdict,
  type ChecklistRow,
  type ShippedCheckpointId,
} from '@wax-fist/core/technique';
import { expect } from 'chai';
import { canShow, faultModels } from '../motion/fault/index.ts';
import { holderFaults } from '../motion/fault/holder.ts';
import { habitIds, type HabitId } from '../motion/habit.ts';
import { perform } from '../motion/performance.ts';
import { everythingThrown, usualStation, type Thrown } from '../motion/technique/thrown.ts';
import { isBeat } from '../motion/technique/single.ts';
import { isHeld } from '../motion/station.ts';
import { baseScene, scene } from '../rounds-under-test.ts';
import type { Scene } from '../scene.ts';
import { judgedParts, ofTheWhole, trueMeasures, trueOfHolder, type TrueValues } from './measures.ts';

/** What can only be measured where somebody holds. */
const needsPartner: readonly string[] = ['pv.outside-foot', 'df.distance'];
const holder = { stance: 'orthodox' as const, stature: 1.76, look: baseScene.look, faults: [] };

/**
 * Whoever is simulated lets the arm on that side go down with a round kick, as one school has it and the usual one does not, and pulls
 * it along with a knee: there it is no fault of theirs, and no more of one when both hands drop.
 */
const armGoesAlong: readonly Thrown[] = [
  ...(['rear-round', 'lead-round', 'switch-round', 'step-off-round', 'alternating-round', 'low-kick'] as const),
  ...(['rear-knee', 'switch-knee'] as const),
];
const isHabit = (technique: Thrown, id: string): boolean => id === 'gd.kick-hand' && armGoesAlong.includes(technique);

/** Only hands are aimed in the simulation: a leg lands where it comes to, and a series at more than one height. */
const aimed = faultModels.filter(({ checkpoint }) => checkpoint === 'sm.target').flatMap(({ of }) => of);
const landsAnyhow = (technique: Thrown, id: string): boolean => id === 'sm.target' && !aimed.includes(technique);

function rowsOf(technique: Thrown): ChecklistRow[] {
  const rows = checklistFor(shippedCatalogue, technique, { school: usualSchool, view: 'quarter' });
  return rows.filter(
    ({ checkpoint: { id, measure }, band }) =>
      isMeasureId(measure) &&
      band &&
      !isHabit(technique, id) &&
      !landsAnyhow(technique, id) &&
      (isHeld(usualStation(technique)) || !needsPartner.includes(id)),
  );
}

/** Means of the true measures of a few repetitions, thrown with a fault or without. */
function measured(technique: Thrown, wanted: readonly string[], fault?: string, strength = 1): TrueValues {
  const times = technique === 'uppercut-bag-set' ? 1 : 2;
  const work = isBeat(technique)
    ? { strikes: Array.from({ length: 8 }, () => technique), times: 1 }
    : { strikes: [technique], times };
  const faults = fault ? [{ fault, strike: technique, share: 1, strength: [strength, strength] as [number, number] }] : [];
  const station = usualStation(technique);
  const round = perform(scene({ station, work: [work], faults, ...(isHeld(station) && { holder }) }));
  const all = round.strikes.map((strike) => trueMeasures(round, strike, wanted as ShippedCheckpointId[]));
  return Object.fromEntries(
    wanted.map((id) => [id, all.reduce((sum, one) => sum + (one[id as ShippedCheckpointId] ?? NaN), 0) / all.length]),
  );
}

function verdictOf(rows: readonly ChecklistRow[], id: string, values: TrueValues): BandVerdict {
  const row = rows.find(({ checkpoint }) => checkpoint.id === id);
  return verdictIn(row!.band!, values[id as ShippedCheckpointId]!);
}

const holdersFault = (id: string): boolean => (Object.values(holderFaults) as string[]).includes(id);

describe('true measures', function () {
  this.timeout(60_000);
  for (const technique of everythingThrown) {
    const rows = rowsOf(technique);
    const ids = rows.map(({ checkpoint }) => checkpoint.id);
    const possible = faultModels.filter(
      (fault) =>
        canShow(fault, technique) &&
        ids.includes(fault.checkpoint) &&
        (fault.of.includes(technique) ||
          ofTheWhole.includes(fault.checkpoint) ||
          judgedParts(technique, fault.checkpoint).some((part) => fault.of.includes(part))),
    );

    it(`${technique}: everything that has a measure is clean when nothing is wrong, and can be made a fault`, () => {
      const values = measured(technique, ids);
      for (const id of ids) {
        const value = values[id as ShippedCheckpointId];
        expect(value, `${id} is told`).to.satisfy(Number.isFinite);
        expect(verdictOf(rows, id, values), `${id}: ${value}`).to.equal('clean');
        // What whoever holds does wrong is tried below.
        if (holdersFault(id)) continue;
        const shown = possible.some((fault) => fault.checkpoint === id || fault.alsoShows?.includes(id as ShippedCheckpointId));
        expect(shown, `a fault for ${id}`).to.equal(true);
      }
    });

    for (const { id: fault, checkpoint } of possible) {
      it(`${technique}: “${fault}” makes ${checkpoint} a fault, and something to watch when it is slighter`, () => {
        const at = (strength: number) => measured(technique, [checkpoint], fault, strength);
        const plain = at(1);
        expect(verdictOf(rows, checkpoint, plain), `plain: ${plain[checkpoint]}`).to.equal('fault');
        // Somewhere between none and plain it is neither.
        let [low, high, found] = [0, 1, 'clean' as BandVerdict];
        for (let tries = 0; tries < 9 && found !== 'watch'; tries++) {
          const strength = (low + high) / 2;
          found = verdictOf(rows, checkpoint, at(strength));
          if (found === 'clean') low = strength;
          else high = strength;
        }
        expect(found, `between ${low} and ${high}`).to.equal('watch');
      });
    }
  }

  for (const { id: fault, checkpoint, of, alsoShows = [] } of faultModels) {
    const technique = of.find((one) => rowsOf(one).some((row) => row.checkpoint.id === checkpoint)) ?? of[0]!;
    it(`“${fault}” leaves everything else of a ${technique} as it is, but for what follows from it`, () => {
      const rows = rowsOf(technique);
      const ids = rows
        .map(({ checkpoint: { id } }) => id)
        .filter((id) => id !== checkpoint && !alsoShows.includes(id as ShippedCheckpointId));
      const values = measured(technique, ids, fault);
      for (const id of ids) expect(verdictOf(rows, id, values), `${id}: ${values[id as ShippedCheckpointId]}`).to.equal('clean');
    });
  }
});

describe('the lane of the lead foot', () => {
  const lane = (change: Partial<Scene>): number => {
    const round = perform(scene({ station: 'mitts', holder, work: [{ strikes: ['body-straight'], times: 2 }], ...change }));
    return trueMeasures(round, round.strikes[0]!, ['pv.outside-foot'])['pv.outside-foot']!;
  };
  it('is told against the lead foot of who holds, the same for both stances, and not without', () => {
    const open = lane({ holder: { ...holder, stance: 'southpaw' } });
    expect(lane({}) - open, 'closed against open stance').to.be.above(0.5);
    expect(lane({ stance: 'southpaw', holder: { ...holder, stance: 'orthodox' } })).to.be.closeTo(open, 0.02);
    const alone = perform(scene({ work: [{ strikes: ['body-straight'], times: 1 }] }));
    expect(trueMeasures(alone, alone.strikes[0]!, ['pv.outside-foot'])).to.deep.equal({});
  });
});

describe('whoever holds', () => {
  const leans = (fault?: 'head-behind-pads'): number => {
    const faults = fault ? [{ fault, share: 1, strength: [1, 1] as [number, number] }] : [];
    const round = perform(scene({ station: 'thai-pads', holder: { ...holder, faults }, work: [{ strikes: ['jab'], times: 1 }] }));
    return trueOfHolder(round, round.strikes[0]!, round.strikes[0]!.parts[0]!)['holder-lean']!;
  };
  it('leans forward the more, the further the head comes over the pads', () => {
    expect(leans()).to.be.within(5, 15);
    expect(leans('head-behind-pads')).to.be.above(leans() + 10);
  });

  it('has the head clear of the pads unless it comes past them, for single strikes and for every part of a series', () => {
    const clear = (fault?: 'head-behind-pads'): number[] => {
      const faults = fault ? [{ fault, share: 1, strength: [0.8, 0.8] as [number, number] }] : [];
      const work = [{ strikes: ['pad-called', 'rear-round'] as Thrown[], times: 1 }];
      const round = perform(scene({ station: 'thai-pads', holder: { ...holder, faults }, work }));
      return round.strikes.flatMap((strike) => strike.parts.map((part) => trueOfHolder(round, strike, part)['ph.head-clear']!));
    };
    expect(clear()).to.have.length.above(3);
    for (const value of clear()) expect(value).to.be.above(0.1);
    for (const value of clear('head-behind-pads')) expect(value).to.be.below(0);
    const alone = perform(scene({ work: [{ strikes: ['jab'], times: 1 }] }));
    expect(trueOfHolder(alone, alone.strikes[0]!, alone.strikes[0]!.parts[0]!)).to.deep.equal({});
  });
});

describe('habits of a school', () => {
  for (const habit of habitIds) {
    const [switchId, choiceId] = habit.split('.') as [string, string];
    const school = { ...usualSchool, choices: { ...usualSchool.choices, [switchId]: choiceId } };
    const { effects } = switches.find(({ id }) => id === switchId)!.choices.find(({ id }) => id === choiceId)!;
    const banded = [...(effects.bands ?? []), ...(effects.adds ?? [])];
    it(`${habit} is a choice, is clean by its own bands${banded.length > 0 ? '' : ' (it has none)'}, and looks otherwise`, () => {
      for (const { checkpoint, techniques } of banded) {
        for (const technique of (techniques ?? ['jab', 'cross']) as Thrown[]) {
          const row = checklistFor(shippedCatalogue, technique, { school, view: 'quarter' }).find(
            (one) => one.checkpoint.id === checkpoint,
          );
          if (!row?.band) continue;
          const round = perform(
            scene({ station: usualStation(technique), habits: [habit], work: [{ strikes: [technique], times: 2 }] }),
          );
          for (const strike of round.strikes) {
            const value = trueMeasures(round, strike, [checkpoint])[checkpoint]!;
            expect(verdictIn(row.band, value), `${technique} ${checkpoint}: ${value}`).to.equal('clean');
          }
        }
      }
      const at = (habits: HabitId[], technique: Thrown, seconds: Seconds): string =>
        JSON.stringify(perform(scene({ habits, work: [{ strikes: [technique], times: 1 }] })).bodyAt(seconds).joints);
      const changed = (['jab', 'cross', 'lead-body-hook', 'rear-round'] as const).some((technique) =>
        [0.5, 1.8, 1.9, 2, 2.1, 2.2].some((seconds) => at([habit], technique, seconds) !== at([], technique, seconds)),
      );
      expect(changed).to.equal(true);
    });
  }
});
