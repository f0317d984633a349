import { strike } from './schema/index.ts';

/** The moments of a strike and how one came by each, for a select. */
export const momentColumns = {
  launchFrame: strike.launchFrame,
  contactFrame: strike.contactFrame,
  homeFrame: strike.homeFrame,
  launchOrigin: strike.launchOrigin,
  contactOrigin: strike.contactOrigin,
  homeOrigin: strike.homeOrigin,
};
