import type { Mark, ObservationMark, PinMark, StrikeMark } from '@wax-fist/contract/review';
import { latestBy } from '@wax-fist/core/review';

/** A server as far as the outbox can tell: it keeps a log, and can be away or refuse what it is sent. */
export function reviewServer() {
  const state = {
    log: [] as Mark[],
    away: false,
    /** Why it takes no mark at all. */
    refuses: '',
    /** Why it does not take this mark. */
    refusal: (_mark: Mark): string | undefined => undefined,
    /** Whether it stumbles over a batch with this mark. */
    stumblesAt: (_mark: Mark): boolean => false,
    requests: 0,
    /** Whether whoever asks marks the film a second time. */
    blind: false,
  };
  const answer = (body: unknown, status = 200): Response => new Response(JSON.stringify(body), { status });
  globalThis.fetch = (async (_url: string, { method, body }: RequestInit) => {
    if (state.away) throw new TypeError('fetch failed');
    state.requests++;
    if (method === 'GET') {
      const strikes = [
        ...latestBy(
          state.log.filter((mark): mark is StrikeMark => mark.kind === 'strike'),
          ({ strikeId }) => strikeId,
        ).values(),
      ];
      const observations = [
        ...latestBy(
          state.log.filter((mark): mark is ObservationMark => mark.kind === 'observation' && mark.blind === state.blind),
          ({ strikeId, checkpointId }) => `${strikeId} ${checkpointId}`,
        ).values(),
      ];
      const pins = [
        ...latestBy(
          state.log.filter((mark): mark is PinMark => mark.kind === 'pin'),
          ({ frame, point }) => `${frame} ${point}`,
        ).values(),
      ];
      return answer({ blind: state.blind, strikes, observations, pins });
    }
    if (method === 'POST') {
      state.blind = false;
      return new Response(null, { status: 204 });
    }
    if (state.refuses) return answer({ message: state.refuses }, 422);
    const { marks } = JSON.parse(body as string) as { marks: Mark[] };
    if (marks.some(state.stumblesAt)) return answer({ message: 'Something went wrong here.' }, 500);
    const reasons = marks.map(state.refusal);
    const taken = marks.filter((_, place) => reasons[place] === undefined);
    for (const mark of taken) if (!state.log.some(({ id }) => id === mark.id)) state.log.push(mark);
    return answer({
      kept: taken.map(({ id }) => id),
      refused: reasons.flatMap((reason, place) => (reason === undefined ? [] : [{ place, reason }])),
    });
  }) as unknown as typeof fetch;
  return state;
}
