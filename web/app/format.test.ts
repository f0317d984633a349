import { expect } from 'chai';
import { clock, fileSize } from './format.ts';

describe('words', () => {
  const table: [what: string, got: () => string, expected: string][] = [
    ['the beginning of a film', () => clock(0), '0:00.00'],
    ['a place in a film', () => clock(61_239), '1:01.23'],
    ['a place after ten minutes', () => clock(754_999), '12:34.99'],
    ['bytes', () => fileSize(999), '999 B'],
    ['megabytes', () => fileSize(2_285_405), '2.3 MB'],
    ['the largest film', () => fileSize(8e9), '8.0 GB'],
  ];
  for (const [what, got, expected] of table) it(`${what}: “${expected}”`, () => expect(got()).to.equal(expected));
});
