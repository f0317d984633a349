<script setup lang="ts">
import type { Trainee } from '@wax-fist/contract/trainees';
import { gradeNames } from '@wax-fist/core/trainee';
import { shortDay } from '@wax-fist/core/words';
import { plansWords as words } from './words.ts';

/** For whom a session is planned, and for when. */
defineProps<{ trainee: Trainee; day?: string }>();
</script>

<template>
  <div class="page-head">
    <div>
      <p class="quiet">
        <RouterLink :to="{ name: 'trainee', params: { traineeId: trainee.id } }">{{ trainee.name }}</RouterLink>,
        {{ trainee.stance }}, {{ gradeNames[trainee.grade].toLowerCase()
        }}<template v-if="trainee.ageGroup">, {{ trainee.ageGroup }}</template
        ><template v-else>{{ words.noAgeIsEnteredPlanned }}</template>
      </p>
      <h1>{{ day ? words.sessionOf(shortDay(day)) : words.planASession }}</h1>
    </div>
    <span class="acts"><slot /></span>
  </div>
</template>
