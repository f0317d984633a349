<script setup lang="ts">
import { roles, type Role } from '@wax-fist/contract/endpoint';
import { secondFactorEndpoints } from '@wax-fist/contract/second-factor';
import { messageOf } from '@wax-fist/core/message-of';
import { ref } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { roleNames } from '../people/role-names.ts';
import { secondFactorWords as words } from './words.ts';

/** Of whom the club demands a second factor. */
const notice = useNotice();
const trouble = ref<string>();
const { value: demand, failure, again } = useAnswer(() => request(secondFactorEndpoints.showSecondFactorDemand));

async function demandOf(chosen: readonly Role[]): Promise<void> {
  trouble.value = undefined;
  const before = demand.value!.roles;
  try {
    demand.value = await request(secondFactorEndpoints.saveSecondFactorDemand, { body: { roles: [...chosen] } });
    const says = chosen.length === 0 ? words.aSecondFactorIsOffered : words.whoHasNoneYetIs;
    notice.say(says, () => demandOf(before));
  } catch (error) {
    trouble.value = messageOf(error);
    await again();
  }
}
</script>

<template>
  <section aria-labelledby="second-factor-demand">
    <h2 id="second-factor-demand">{{ words.secondFactorDemandedOf }}</h2>
    <PageState :failure="failure" :ready="demand !== undefined" @again="again">
      <p class="quiet">{{ words.theyCanDoNothingElse }}</p>
      <p v-if="trouble" role="alert" class="text-error">{{ trouble }}</p>
      <div class="acts">
        <VCheckbox
          v-for="role in roles"
          :key="role"
          :model-value="demand!.roles"
          :value="role"
          :label="roleNames[role]"
          density="compact"
          hide-details
          @update:model-value="(chosen) => demandOf(chosen as unknown as Role[])"
        />
      </div>
    </PageState>
  </section>
</template>
