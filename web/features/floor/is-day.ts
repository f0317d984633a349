import { day } from '@wax-fist/contract/shapes';

/** Whether what stands in an address is a day. */
export const isDay = (text: unknown): text is string => day().required().isValidSync(text, { strict: true });
