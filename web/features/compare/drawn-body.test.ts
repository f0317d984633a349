import { emptyTrack, unpackTrack } from '@wax-fist/core/body';
import { drawnFrom, drawnStrike } from '@wax-fist/core/compare';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { bodyPieces } from './drawn-body.ts';
import moments from './drawn/moments.json' with { type: 'json' };

describe('a drawn body', () => {
  const points = readFileSync(join(import.meta.dirname, 'drawn', 'jab.points'));
  const body = drawnFrom(drawnStrike(moments.jab, unpackTrack(0, new Uint8Array(points))), 'lead-side');

  it('has all its parts, what is nearer drawn over what is further away', () => {
    const pieces = bodyPieces(body, moments.jab.contactFrame);
    expect(pieces).to.have.length(15);
    const at = (name: string): number => pieces.findIndex((piece) => piece.name === name);
    // From the lead side of somebody orthodox the left limbs lie before the right ones.
    for (const part of ['upper arm', 'thigh', 'shin']) expect(at(`left ${part}`), part).to.be.above(at(`right ${part}`));
    expect(pieces.map(({ depth }) => depth)).to.deep.equal(pieces.map(({ depth }) => depth).sort((a, b) => b - a));
  });

  it('is as thick in a strike that reaches out as before it', () => {
    const thick = (frame: number): number => bodyPieces(body, frame).find(({ name }) => name === 'left forearm')!.thick;
    const [before, out] = [thick(moments.jab.launchFrame), thick(moments.jab.contactFrame)];
    expect(Math.abs(out / before - 1)).to.be.below(0.25);
  });

  it('is nothing where nobody is', () => {
    expect(bodyPieces(emptyTrack(0, 1), 0)).to.deep.equal([]);
  });
});
