import type { Mark, ObservationMark, StrikeMark } from '@wax-fist/contract/review';
import { latestBy } from '@wax-fist/core/review';

/** A server as far as the outbox can tell: it keeps a log, and can be away or refuse what it is sent. */
export function reviewServer() {
  const state = { log: [] as Mark[], away: false, refuses: '', requests: 0 };
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
          state.log.filter((mark): mark is ObservationMark => mark.kind === 'observation'),
          ({ strikeId, checkpointId }) => `${strikeId} ${checkpointId}`,
        ).values(),
      ];
      return answer({ strikes, observations });
    }
    if (state.refuses) return answer({ message: state.refuses }, 422);
    const { marks } = JSON.parse(body as string) as { marks: Mark[] };
    for (const mark of marks) if (!state.log.some(({ id }) => id === mark.id)) state.log.push(mark);
    return answer({ kept: marks.map(({ id }) => id) });
  }) as unknown as typeof fetch;
  return state;
}
