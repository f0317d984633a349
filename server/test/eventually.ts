import { inspect } from 'node:util';

const often = 100;

/**
 * Looks again and again until something holds.
 * @param what what is waited for, as it is told when it does not come
 * @param within milliseconds
 * @throws Error with what was seen last
 */
export async function eventually<T>(
  what: string,
  look: () => Promise<T>,
  holds: (seen: T) => boolean,
  within = 60_000,
): Promise<T> {
  for (const end = Date.now() + within; ;) {
    const seen = await look();
    if (holds(seen)) return seen;
    if (Date.now() > end)
      throw new Error(`${what}: not within ${within / 1000} s; last seen: ${inspect(seen, { depth: 6 }).slice(0, 2000)}`);
    await new Promise((resolve) => setTimeout(resolve, often));
  }
}
