import { expect } from 'chai';
import { faultRate } from '../correction/index.ts';
import { lengthInWords, readLength } from '../setup/index.ts';
import {
  counted,
  decimal,
  faultsOfSeen,
  localDay,
  mannerFrom,
  minutes,
  percent,
  rateInWords,
  shortDay,
  shortDecimal,
  timeOfDay,
  usualManner,
  wholeDay,
  type Manner,
} from './index.ts';

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

describe('words in the manner of whoever reads them', () => {
  after(() => mannerFrom(() => usualManner));
  const [june, evening, noon] = [new Date(2026, 5, 1), new Date(2026, 10, 17, 18, 5), new Date(2026, 10, 17, 12, 30)];
  const table: [change: Partial<Manner>, got: () => string, expected: string][] = [
    [{ days: 'month-first' }, () => shortDay('2026-11-17', june), 'Tue Nov 17'],
    [{ days: 'month-first' }, () => shortDay('2025-11-17', june), 'Nov 17, 2025'],
    [{ days: 'month-first' }, () => wholeDay('2026-11-17'), 'November 17, 2026'],
    [{ days: 'year-first' }, () => shortDay('2026-11-07', june), 'Sat 11-07'],
    [{ days: 'year-first' }, () => shortDay('2025-11-17', june), '2025-11-17'],
    [{ days: 'year-first' }, () => wholeDay('2026-11-17'), '2026-11-17'],
    [{}, () => timeOfDay(evening), '18:05'],
    [{ clock: '12' }, () => timeOfDay(evening), '6:05 pm'],
    [{ clock: '12' }, () => timeOfDay(noon), '12:30 pm'],
    [{ clock: '12' }, () => timeOfDay(new Date(2026, 10, 17, 0, 7)), '12:07 am'],
    [{ decimals: 'comma' }, () => decimal(1.25, 1), '1,3'],
    [{ decimals: 'comma' }, () => shortDecimal(1.5, 2), '1,5'],
    [{}, () => shortDecimal(-0.001, 2), '0'],
    [{ units: 'imperial' }, () => lengthInWords(172), '5′ 8″'],
  ];
  for (const [change, got, expected] of table)
    it(`${JSON.stringify(change)}: “${expected}”`, () => {
      mannerFrom(() => ({ ...usualManner, ...change }));
      expect(got()).to.equal(expected);
    });

  it('and what is typed without a unit is in the units of whoever types it', () => {
    mannerFrom(() => ({ ...usualManner, units: 'imperial' }));
    const bounds = { what: 'Stature', least: 90, most: 230 };
    expect(readLength('68', bounds)).to.deep.equal({ ok: true, value: 68 * 2.54 });
    expect(readLength('68', bounds, 'metric')).to.deep.equal({
      ok: false,
      says: 'Stature: 68 cm cannot be; from 90 cm to 230 cm.',
    });
  });
});
