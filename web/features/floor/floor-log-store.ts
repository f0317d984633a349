import { planEndpoints, type Plan, type PlanLog } from '@wax-fist/contract/plans';
import { messageOf } from '@wax-fist/core/message-of';
import type { Ms } from '@wax-fist/core/units';
import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { Refused, request } from '../../app/request.ts';
import { useNotice } from '../../app/notice-store.ts';
import { whileTrue } from '../../app/while-true.ts';
import { forgetFloor, keepWaitingLogs, waitingLogs } from './floor-state.ts';
import { floorWords as words } from './words.ts';

/** A line that comes and goes is not always said to have come back. */
const tryEvery: Ms = 15_000;

/** What was done on the floor, on its way to the server: kept here until it is answered, sent once more whenever there is a line. */
export const useFloorLogs = defineStore('floor-logs', () => {
  const notice = useNotice();
  const waiting = ref(waitingLogs().length);
  /** Whether it was the line or the server that failed last, and nobody has to do anything about it. */
  const away = ref(false);
  let sending: Promise<Plan | undefined> | undefined;

  async function sendAll(): Promise<Plan | undefined> {
    let last: Plan | undefined;
    away.value = false;
    for (const { planId, log } of waitingLogs()) {
      try {
        last = await request(planEndpoints.logPlan, { params: { planId }, body: log });
      } catch (error) {
        // What the server will never take is not kept for ever; without a line, or not signed in, it waits.
        const lost = error instanceof Refused && [404, 422].includes(error.status);
        if (!lost) {
          away.value = !(error instanceof Refused) || error.status >= 500;
          break;
        }
        notice.say(words.whatWasDoneCouldNot(messageOf(error)));
      }
      forgetFloor(planId);
      keepWaitingLogs(waitingLogs().filter((one) => one.planId !== planId));
    }
    waiting.value = waitingLogs().length;
    return last;
  }
  /** How often somebody has asked. */
  let asked = 0;
  async function sendWhatIsAsked(): Promise<Plan | undefined> {
    let [last, answered]: [Plan | undefined, number] = [undefined, 0];
    do {
      answered = asked;
      last = (await sendAll()) ?? last;
    } while (asked > answered && waiting.value > 0);
    return last;
  }
  /** One at a time. Asked for while one is on its way, which may have begun without a line, it is tried once more after that. */
  function send(): Promise<Plan | undefined> {
    asked++;
    return (sending ??= sendWhatIsAsked().finally(() => (sending = undefined)));
  }
  useEventListener(window, 'online', () => void send());
  whileTrue(away, () => send().then(() => undefined), tryEvery);

  /** @returns the plan as the server has it now; undefined while there is no line */
  async function write(planId: string, log: PlanLog): Promise<Plan | undefined> {
    keepWaitingLogs([...waitingLogs().filter((one) => one.planId !== planId), { planId, log }]);
    waiting.value = waitingLogs().length;
    return send();
  }
  return { waiting, send, write };
});
