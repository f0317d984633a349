<script setup lang="ts">
import { mdiBookClockOutline } from '@mdi/js';
import { peopleEndpoints } from '@wax-fist/contract/people';
import { computed } from 'vue';
import { useAccount } from '../accounts/account-store.ts';
import MySecondFactor from '../second-factor/MySecondFactor.vue';
import SecondFactorDemand from '../second-factor/SecondFactorDemand.vue';
import ChangePassword from './ChangePassword.vue';
import ClubPeople from './ClubPeople.vue';
import MyManner from './MyManner.vue';
import MySignIns from './MySignIns.vue';
import { roleNames } from './role-names.ts';
import { peopleWords as words } from './words.ts';

/** Oneself: how one reads, password, second factor and where one is signed in; for a head coach everybody who signs in, too. */
const account = useAccount();
/** Until a second factor that is due is there, nothing else is answered. */
const due = computed(() => account.me?.secondFactorDue ?? false);
const leads = computed(() => !due.value && account.may(peopleEndpoints.listPeople));
</script>

<template>
  <div class="page">
    <div v-if="account.me" class="page-head">
      <div>
        <h1>{{ account.me.name }}</h1>
        <p class="quiet">{{ roleNames[account.me.role] }}, {{ account.me.email }}</p>
      </div>
      <VBtn v-if="leads" variant="outlined" :prepend-icon="mdiBookClockOutline" :to="{ name: 'journal' }">{{
        words.journal
      }}</VBtn>
    </div>
    <div class="page-columns">
      <div v-if="leads">
        <ClubPeople />
        <SecondFactorDemand />
      </div>
      <div>
        <template v-if="!due">
          <MyManner />
          <MySignIns />
          <ChangePassword />
        </template>
        <!-- One and the same before and after: the codes that it shows once must not go with what was due. -->
        <MySecondFactor />
      </div>
    </div>
  </div>
</template>
