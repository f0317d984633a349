import { array, object, string, type InferType } from 'yup';
import { filmShape } from './footage.ts';
import { correctionShape } from './corrections.ts';
import { coaches, endpoint } from './endpoint.ts';
import { id } from './shapes.ts';

/** What waits for a coach. */
export const todayShape = object({
  footage: array(
    object({
      film: filmShape.required(),
      traineeId: id(),
      traineeName: string().required(),
      heldOn: string().required(),
    }).required(),
  ).required(),
  corrections: array(correctionShape.required()).required(),
});
export type Today = InferType<typeof todayShape>;

export const todayEndpoints = { today: endpoint('GET', '/api/today', coaches, { reply: todayShape }) };
