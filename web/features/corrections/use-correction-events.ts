import { correctionEndpoints, type Correction, type CorrectionEvent } from '@wax-fist/contract/corrections';
import type { Frequency } from '@wax-fist/core/correction';
import { messageOf } from '@wax-fist/core/message-of';
import { v7 as uuid } from 'uuid';
import { ref, type Ref } from 'vue';
import { request } from '../../app/request.ts';

/** What is said of a correction; what was counted, and the numbers of a step, are added by the server. */
export interface Said {
  kind: Exclude<CorrectionEvent['kind'], 'opened'>;
  rung?: number;
  sessionId?: string;
  note?: string;
  /** Of a drill: how often it is done. */
  often?: Frequency | null;
  /** When to look again, where it is not the usual time. */
  recheckOn?: string;
}

/** Says something of a correction. @throws Refused, Unreachable */
export const sayOfCorrection = (
  { id }: Pick<Correction, 'id'>,
  { kind, rung, sessionId, note = '', often = null, recheckOn }: Said,
) =>
  request(correctionEndpoints.addCorrectionEvent, {
    params: { correctionId: id },
    body: { id: uuid(), kind, rung: rung ?? null, sessionId: sessionId ?? null, note, often, recheckOn },
  });

export interface CorrectionEvents {
  busy: Ref<boolean>;
  failure: Ref<string | undefined>;
  /** Says it, and then that something has changed; what went wrong stands in `failure`. */
  say: (correction: Pick<Correction, 'id'>, said: Said) => Promise<void>;
}

/** Saying things of corrections on a page. */
export function useCorrectionEvents(changed: () => void): CorrectionEvents {
  const busy = ref(false);
  const failure = ref<string>();
  async function say(correction: Pick<Correction, 'id'>, said: Said): Promise<void> {
    busy.value = true;
    failure.value = undefined;
    await sayOfCorrection(correction, said)
      .then(changed)
      .catch((error: unknown) => (failure.value = messageOf(error)));
    busy.value = false;
  }
  return { busy, failure, say };
}
