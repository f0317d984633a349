/** Something that is done bit by bit in this process, never two bits at once. */
export interface OneAtATime {
  /** Takes up what is to be done; what is under way already is not begun twice. */
  start: () => void;
}

/** So long after trouble it is tried again: by then a database has started again. Milliseconds. */
const usualPause = 3000;

/**
 * @param next does one thing, and tells whether there was one
 * @param trouble told what broke the work off, and tells whether that passes: then it goes on by itself after a pause, else with the
 * next start
 */
export function oneAtATime(
  next: () => Promise<boolean>,
  trouble: (error: unknown) => boolean,
  pause: number = usualPause,
): OneAtATime {
  let running = false;
  let asked = false;
  async function whileAsked(): Promise<void> {
    while (asked) {
      // Somebody may ask while the last look finds nothing.
      asked = false;
      while (await next());
    }
  }
  function start(): void {
    asked = true;
    if (running) return;
    running = true;
    void whileAsked()
      .catch((error: unknown) => {
        if (trouble(error)) setTimeout(start, pause).unref();
      })
      .finally(() => (running = false));
  }
  return { start };
}
