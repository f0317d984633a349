const often = 50;

/**
 * Asserts what a page shows, again and again until it holds: between a touch and what comes of it lie an answer of the server
 * and a drawing, and how long those take is no test’s business.
 * @param within milliseconds
 * @throws whatever was thrown last
 */
export async function soon(asserted: () => Promise<unknown>, within = 15_000): Promise<void> {
  for (const end = Date.now() + within; ;) {
    try {
      await asserted();
      return;
    } catch (error) {
      if (Date.now() > end) throw error;
    }
    await new Promise((resolve) => setTimeout(resolve, often));
  }
}
