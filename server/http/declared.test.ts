import { endpoints } from '@wax-fist/contract/endpoints';
import { expect } from 'chai';
import { array, lazy, mixed, number, object, string } from 'yup';
import { declaredOf } from './declared.ts';

describe('an answer', () => {
  const strip = declaredOf(
    object({
      name: string().required(),
      films: array(object({ id: string().required(), frames: number().nullable() }).required()).required(),
      own: object({ place: string() }).nullable(),
      anything: mixed(),
      by: lazy(() => object()),
    }),
  );

  it('has what its shape declares, however deep, and nothing else', () => {
    const told = {
      name: 'Lio',
      passwordHash: 'secret',
      films: [{ id: '1', frames: null, sha256: 'secret' }, null],
      own: null,
      anything: { of: [1] },
      by: { choice: 'x' },
    };
    expect(strip(told)).to.deep.equal({
      name: 'Lio',
      films: [{ id: '1', frames: null }, null],
      own: null,
      anything: { of: [1] },
      by: { choice: 'x' },
    });
    expect(strip(null)).to.equal(null);
    expect(strip({ name: 'x', own: { place: 'y', secret: 1 } })).to.deep.equal({ name: 'x', own: { place: 'y' } });
  });

  it('of every endpoint can be stripped', () => {
    for (const { reply } of Object.values(endpoints)) if (reply) expect(() => declaredOf(reply)({})).to.not.throw();
  });
});
