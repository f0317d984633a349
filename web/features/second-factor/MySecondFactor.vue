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
import { secondFactorWords as words } from './words.ts';

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
  notice.say(words.yourPasswordAloneLetsYou);
}
const left = (many: number): string => (many === 1 ? words.oneCode : words.codesMany(many));
</script>

<template>
  <section aria-labelledby="second-factor">
    <h2 id="second-factor">{{ words.secondFactor }}</h2>
    <PageState :failure="failure" :ready="mine !== undefined" @again="again">
      <template v-if="mine!.since">
        <p>
          {{ words.sinceACodeOfYour(dayAndTime(mine!.since), left(mine!.codesLeft)) }}
        </p>
        <KeptCodes v-if="codes" :codes="codes" @done="codes = undefined" />
        <PasswordAsked v-if="asked" :act="words.leaveIt" :send="leave" @cancel="asked = undefined" />
        <p v-else-if="mine!.demanded" class="quiet">{{ words.yourClubAsksForIt }}</p>
        <VBtn v-else-if="!codes" variant="outlined" @click="asked = 'leave'">{{ words.leaveTheSecondFactor }}</VBtn>
      </template>
      <template v-else>
        <p v-if="mine!.demanded" class="sums-up">{{ words.yourClubAsksForA }}</p>
        <p class="quiet">
          {{ words.whoeverLearnsYourPasswordGets }}
        </p>
        <TakeSecret v-if="secret" :secret="secret" :send="take" @cancel="secret = undefined" />
        <PasswordAsked v-else-if="asked" :act="words.goOn" :send="offer" @cancel="asked = undefined" />
        <VBtn v-else variant="outlined" @click="asked = 'offer'">{{ words.setItUp }}</VBtn>
      </template>
    </PageState>
  </section>
</template>

<style scoped>
p {
  margin-bottom: var(--space-3);
}
</style>
