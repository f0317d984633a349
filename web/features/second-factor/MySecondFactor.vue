<script setup lang="ts">
import { secondFactorEndpoints } from '@wax-fist/contract/second-factor';
import { ref } from 'vue';
import { dayAndTime } from '../../app/format.ts';
import { useNotice } from '../../app/notice-store.ts';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useAccount } from '../accounts/account-store.ts';
import KeptCodes from './KeptCodes.vue';
import PasswordAsked from './PasswordAsked.vue';
import TakeSecret from './TakeSecret.vue';

/** A code besides the password: begun, in use, left. */
const notice = useNotice();
const account = useAccount();
const { value: mine, failure, again } = useAnswer(() => request(secondFactorEndpoints.mySecondFactor));
/** What is asked before it begins, or before it ends. */
const asked = ref<'offer' | 'leave'>();
const secret = ref<{ secret: string; picture: string }>();
const codes = ref<string[]>();

async function offer(current: string): Promise<void> {
  secret.value = await request(secondFactorEndpoints.offerSecondFactor, { body: { current } });
  asked.value = undefined;
}
async function take(code: string): Promise<void> {
  ({ codes: codes.value } = await request(secondFactorEndpoints.takeSecondFactor, { body: { code } }));
  secret.value = undefined;
  await Promise.all([again(), account.readAnew()]);
}
async function leave(current: string): Promise<void> {
  await request(secondFactorEndpoints.leaveSecondFactor, { body: { current } });
  asked.value = codes.value = undefined;
  await again();
  notice.say('Your password alone lets you in again.');
}
const left = (many: number): string => (many === 1 ? 'one code' : `${many} codes`);
</script>

<template>
  <section aria-labelledby="second-factor">
    <h2 id="second-factor">Second factor</h2>
    <PageState :failure="failure" :ready="mine !== undefined" @again="again">
      <template v-if="mine!.since">
        <p>
          Since {{ dayAndTime(mine!.since) }} a code of your app is asked for besides the password. For when the app is lost there
          are {{ left(mine!.codesLeft) }} left.
        </p>
        <KeptCodes v-if="codes" :codes="codes" @done="codes = undefined" />
        <PasswordAsked v-if="asked" act="Leave it" :send="leave" @cancel="asked = undefined" />
        <p v-else-if="mine!.demanded" class="quiet">Your club asks for it.</p>
        <VBtn v-else-if="!codes" variant="outlined" @click="asked = 'leave'">Leave the second factor</VBtn>
      </template>
      <template v-else>
        <p v-if="mine!.demanded" class="sums-up">Your club asks for a second factor. Set it up here, then go on.</p>
        <p class="quiet">
          Whoever learns your password gets in. With a second factor they would need your phone as well: an app on it shows a code
          that is another one every half minute.
        </p>
        <TakeSecret v-if="secret" :secret="secret" :send="take" @cancel="secret = undefined" />
        <PasswordAsked v-else-if="asked" act="Go on" :send="offer" @cancel="asked = undefined" />
        <VBtn v-else variant="outlined" @click="asked = 'offer'">Set it up</VBtn>
      </template>
    </PageState>
  </section>
</template>

<style scoped>
p {
  margin-bottom: var(--space-3);
}
</style>
