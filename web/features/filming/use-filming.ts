import { messageOf } from '@wax-fist/core/message-of';
import type { ClockReading } from '@wax-fist/core/rounds';
import { format } from 'date-fns/format';
import { ref, type ShallowRef } from 'vue';
import { useUploads } from '../footage/uploads-store.ts';
import { ring } from './bell.ts';
import { filmingPlanShape, rememberPlan, type FilmingPlan } from './filming-settings.ts';
import { record, type Recording } from './recording.ts';
import { useRoundTimer } from './use-round-timer.ts';
import { filmingWords as words } from './words.ts';

/** Films rounds by the clock; each round is one film, sent into the session as soon as it is over. */
export function useFilming(sessionId: string, stream: ShallowRef<MediaStream | undefined>) {
  const uploads = useUploads();
  const failure = ref<string>();
  /** Rounds that are in the session already. */
  const arrived = ref(0);
  let plan: FilmingPlan;
  let begun = new Date();
  let recording: { running: Recording; round: number } | undefined;

  async function send(): Promise<void> {
    const ending = recording;
    recording = undefined;
    if (!ending) return;
    try {
      const film = await ending.running.stop(words.roundRound(ending.round, format(begun, 'yyyy-MM-dd HH.mm')));
      uploads.send(film, sessionId, plan.view, () => arrived.value++);
    } catch (error) {
      failure.value = messageOf(error);
    }
  }

  const timer = useRoundTimer(({ phase, round }: ClockReading) => {
    if (phase === 'work') {
      // With no rest between, the round before ends as this one begins.
      void send();
      try {
        recording = { running: record(stream.value!), round };
      } catch (error) {
        failure.value = messageOf(error);
        timer.stop();
        return;
      }
      if (plan.bell) ring(1);
    } else if (phase === 'rest' || phase === 'over') {
      if (plan.bell) ring(3);
      void send();
    }
  });

  return {
    ...timer,
    failure,
    arrived,
    start(wanted: FilmingPlan): void {
      failure.value = undefined;
      if (!stream.value) return;
      try {
        plan = filmingPlanShape.validateSync(wanted);
      } catch (error) {
        failure.value = messageOf(error);
        return;
      }
      rememberPlan(plan);
      begun = new Date();
      const { rounds, work, rest, ready } = plan;
      timer.start({ rounds, work: work * 1000, rest: rest * 1000, ready: ready * 1000 });
    },
    /** Stops before the end; what was filmed of the round is sent. */
    async stop(): Promise<void> {
      timer.stop();
      await send();
    },
  };
}
