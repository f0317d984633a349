import { expect } from 'chai';
import { faultRate } from '../correction/index.ts';
import { counted, faultsOfSeen, localDay, minutes, percent, rateInWords, shortDay, wholeDay } from './index.ts';

const rate = (fault: number, watch: number, clean: number) => faultRate({ fault, watch, clean, cantSee: 3 });

describe('words', () => {
  const table: [what: string, got: () => string, expected: string][] = [
    ['a day of this year', () => shortDay('2026-11-17', new Date(2026, 5, 1)), 'Tue 17 Nov'],
    ['a day in September', () => shortDay('2026-09-05', new Date(2026, 5, 1)), 'Sat 5 Sep'],
    ['an instant', () => shortDay('2026-11-17T12:00:00Z', new Date(2026, 5, 1)), 'Tue 17 Nov'],
    ['a day of another year', () => shortDay('2025-11-17', new Date(2026, 5, 1)), '17 Nov 2025'],
    ['a week on, over the end of a month', () => localDay(7, new Date(2026, 0, 28, 23, 59)), '2026-02-04'],
    ['today just before midnight', () => localDay(0, new Date(2026, 0, 28, 23, 59)), '2026-01-28'],
    ['faults', () => faultsOfSeen(rate(14, 0, 10)), '14 of 24'],
    ['faults and a half', () => faultsOfSeen(rate(14, 1, 9)), '14½ of 24'],
    ['half a fault', () => faultsOfSeen(rate(0, 1, 9)), '½ of 10'],
    ['faults that measures told as well', () => faultsOfSeen({ faults: 7.4, seen: 20.7 }), 'about 7 of 21, with measures'],
    ['nothing seen', () => rateInWords(rate(0, 0, 0)), 'nothing seen'],
    ['too few', () => rateInWords(rate(3, 0, 4)), 'too few to say'],
    ['a rate', () => rateInWords(rate(0, 0, 12)), '0% (0%–15%)'],
    ['a share', () => percent(0.155), '16%'],
    ['one strike', () => counted(1, 'strike'), '1 strike'],
    ['no strike', () => counted(0, 'strike'), '0 strikes'],
    ['a time in minutes', () => minutes(125_999), '2:05'],
    ['a day on paper', () => wholeDay('2026-11-07'), '7 November 2026'],
  ];
  for (const [what, got, expected] of table) it(`${what}: “${expected}”`, () => expect(got()).to.equal(expected));
});
