import { expect } from 'chai';
import { askedInWords, checksInWords, kindsByPart } from './point-words.ts';

const learned = { wider: 1.2, low: 1, high: 1.5, checks: 2, hidden: 0 };

describe('points that are asked for, in words', () => {
  it('say whose side is meant', () => {
    expect(askedInWords('leftWrist', 'far')).to.deep.equal({
      name: 'left wrist',
      hint: 'Of whoever strikes, on the side further from the camera.',
    });
    expect(askedInWords('rightKnee', 'along').hint).to.equal('Of whoever strikes, their own right.');
    expect(askedInWords('nose', 'near').hint).to.equal('Of whoever strikes.');
  });

  it('say how often they were checked, and how often they could not be seen', () => {
    expect(checksInWords({ checks: 1, hidden: 0 })).to.equal('1 check');
    expect(checksInWords({ checks: 0, hidden: 2 })).to.equal('2 unseen');
    expect(checksInWords({ checks: 3, hidden: 1 })).to.equal('3 checks, 1 unseen');
  });

  it('stand by part in the order of the body, each side in its column', () => {
    const rows = kindsByPart([
      { part: 'Toe', seen: 'far', ...learned },
      { part: 'nose', seen: 'near', ...learned },
    ]);
    expect(rows.map(({ part }) => part)).to.deep.equal(['nose', 'Toe']);
    expect(rows[1]!.bySide.map(Boolean)).to.deep.equal([false, true, false]);
  });
});
