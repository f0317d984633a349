import { useEventListener, useIntervalFn } from '@vueuse/core';
import { longestStretch, reviewingEndpoints } from '@wax-fist/contract/reviewing';
import { v7 as uuid } from 'uuid';
import { onScopeDispose } from 'vue';
import { request } from '../../app/request.ts';
import { countEffort } from './count-effort.ts';

/** So often it is told what was done, in milliseconds. */
const toldEvery = 60_000;

/** Tells the server how much work a film is, as long as the bench stands. */
export function useEffort(filmId: string): void {
  const effort = countEffort(longestStretch);
  const tell = (): void => {
    const stretch = effort.take();
    if (!stretch) return;
    const body = { id: uuid(), at: new Date().toISOString(), ...stretch };
    const params = { filmId, effortId: body.id };
    // Away is away: it is told with the next one, and lost with the page.
    void request(reviewingEndpoints.tellEffort, { params, body }).catch(() => effort.putBack(stretch));
  };
  const did = (presses: 0 | 1) => (): void => effort.did(performance.now(), presses);
  const passive = { passive: true, capture: true };
  useEventListener(window, ['keydown', 'pointerdown'], did(1), passive);
  useEventListener(window, ['pointermove', 'wheel'], did(0), passive);
  useIntervalFn(tell, toldEvery);
  useEventListener(document, 'visibilitychange', () => document.visibilityState === 'hidden' && tell());
  onScopeDispose(tell);
}
