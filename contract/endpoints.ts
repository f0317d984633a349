import { accountEndpoints } from './accounts.ts';
import { techniqueEndpoints } from './technique.ts';
import { correctionEndpoints } from './corrections.ts';
import { footageEndpoints } from './footage.ts';
import { healthEndpoints } from './health.ts';
import { momentsEndpoints } from './moments.ts';
import { reviewEndpoints } from './review.ts';
import { sessionEndpoints } from './sessions.ts';
import { todayEndpoints } from './today.ts';
import { traineeEndpoints } from './trainees.ts';

/** Everything that can be asked of the server; the tests walk this table with every role. */
export const endpoints = {
  ...accountEndpoints,
  ...traineeEndpoints,
  ...sessionEndpoints,
  ...footageEndpoints,
  ...momentsEndpoints,
  ...reviewEndpoints,
  ...correctionEndpoints,
  ...todayEndpoints,
  ...techniqueEndpoints,
  ...healthEndpoints,
};
