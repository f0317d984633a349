import { expect } from 'chai';
import { notWorthSending } from './worth-sending.ts';

describe('a chosen file', () => {
  const good = ['round.mp4', 'ROUND.MOV', 'a.b.webm', 'x.mkv', 'x.avi', 'x.m4v'];
  for (const name of good) it(`${name} is sent`, () => expect(notWorthSending({ name, size: 10 })).to.equal(undefined));

  const bad: [name: string, size: number, reason: RegExp][] = [
    ['round.mp4', 0, /0 bytes/],
    ['round.mp4', 9e9, /larger than 8 GB/],
    ['notes.txt', 10, /Not a film/],
    ['mp4', 10, /Not a film/],
    ['round.mp4.zip', 10, /Not a film/],
  ];
  for (const [name, size, reason] of bad)
    it(`${name} of ${size} bytes is not`, () => expect(notWorthSending({ name, size })).to.match(reason));
});
