import { decidedIn, foundIn, logOfTrials, pointErrors, trialOf } from '@wax-fist/core/measure';
import { expect } from 'chai';
import { everyStrike, figuresOf, isHeld, ratesOf, trialsOf, type Figure, type Told } from './measures.ts';
import { figuresOfDecided } from './decided.ts';
import { figuresOfMoments } from './moments.ts';
import { figuresOfPoints, logsOfPoints, pointErrorsOf } from './points.ts';

describe('measures by points, on people that no trial has seen', function () {
  this.timeout(120_000);
  let strikes: Told[];
  let figures: Figure[];
  before(() => {
    strikes = everyStrike();
    figures = figuresOf(strikes);
  });

  it('the trials that ship are those of the films that ship', () => {
    for (const [checkpoint, bySeen] of Object.entries(trialsOf(strikes)))
      for (const [seen, [bias, shared, own, count, people]] of Object.entries(bySeen))
        expect(trialOf(checkpoint, seen as Figure['seen']), `${checkpoint} ${seen}`).to.deep.equal({
          ...{ bias, shared, own, strikes: count, people },
        });
  });

  it('how far the model is off that ships is what the films say', () => {
    expect(pointErrors).to.deep.equal(pointErrorsOf(figuresOfPoints()));
  });

  it('a club whose films are like these learns that points are off by what trials say', () => {
    const logs = logsOfPoints();
    expect(logs.mean).to.be.closeTo(logOfTrials.mean, 0.02);
    expect(logs.deviation).to.be.closeTo(logOfTrials.deviation, 0.04);
  });

  it('what is told keeps its doubt, and hardly a proposal is wrong', () => {
    const told = figures.filter(({ why }) => !why);
    expect(told.length).to.be.at.least(12);
    for (const { checkpoint, seen, within68, within95 } of told) {
      expect(within95, `${checkpoint} ${seen}`).to.be.at.least(0.9);
      expect(within68, `${checkpoint} ${seen}`).to.be.at.least(0.55);
    }
    const [made, right] = [0, 0].map((_, place) =>
      told.reduce((sum, one) => sum + (place === 0 ? one.proposals : one.right), 0),
    ) as [number, number];
    expect(made).to.be.above(300);
    expect(right / made).to.be.at.least(0.95);
  });

  it('an idle hand that falls is told from one that stays, from the front and from its own side', () => {
    for (const seen of ['along', 'far']) {
      const figure = figures.find((one) => one.checkpoint === 'gd.other-hand' && one.seen === seen)!;
      expect(figure.why).to.equal(undefined);
      expect(figure.parted, seen).to.be.at.least(0.95);
    }
  });

  it('rates by measures alone keep their interval', () => {
    const rates = ratesOf(strikes);
    expect(rates.length).to.be.at.least(60);
    const held = rates.filter(isHeld);
    expect(held.length / rates.length).to.be.at.least(0.85);
  });

  it('moments on the path of a limb keep their doubt, and are found in most strikes from the side', () => {
    const figures = figuresOfMoments();
    const told = figures.filter(({ claimed }) => claimed !== undefined);
    expect(told.length).to.be.at.least(5);
    for (const { thrower, name, late, within68, within95 } of told) {
      expect(within68, `${thrower} ${name}`).to.be.at.least(0.6);
      expect(within95, `${thrower} ${name}`).to.be.at.least(0.95);
      expect(foundIn[thrower][name]!.late, `${thrower} ${name}`).to.be.closeTo(late, 5);
    }
    for (const { thrower, name, found } of told) if (thrower === 'near hand') expect(found, name).to.be.at.least(0.8);
  });

  it('the instant that decides a row is as near as is claimed', () => {
    const decided = figuresOfDecided();
    expect(decided.map(({ checkpoint }) => checkpoint)).to.have.members(Object.keys(decidedIn));
    for (const { checkpoint, late, within68, within95 } of decided) {
      expect(within68, checkpoint).to.be.at.least(0.68);
      expect(within95, checkpoint).to.be.at.least(0.95);
      expect(decidedIn[checkpoint]!.late, checkpoint).to.be.closeTo(late, 5);
    }
  });
});
