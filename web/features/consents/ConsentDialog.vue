<script setup lang="ts">
import { consentDraftShape, consentEndpoints, type ConsentDraft } from '@wax-fist/contract/consents';
import type { Trainee } from '@wax-fist/contract/trainees';
import { needsGuardian, seenByNames, seenByWhom } from '@wax-fist/core/trainee';
import { localDay } from '@wax-fist/core/words';
import { v7 as uuid } from 'uuid';
import { watch } from 'vue';
import FormDialog from '../../app/FormDialog.vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useForm } from '../../app/use-form.ts';
import { consentsWords as words } from './words.ts';

/** Asks whether somebody may be filmed, who may see it, and until when; a guardian answers for a child. */
const open = defineModel<boolean>({ required: true });
const { trainee, given } = defineProps<{
  trainee: Pick<Trainee, 'id' | 'name' | 'ageGroup'>;
  /** What the page reads anew once somebody has agreed; only then is it said, so that nobody is told before the page knows. */
  given: () => Promise<void>;
}>();
const notice = useNotice();
const minor = needsGuardian(trainee.ageGroup);
const empty = (): ConsentDraft => ({
  ...{ id: uuid(), traineeId: trainee.id, givenBy: minor ? '' : trainee.name, asGuardian: minor, seenBy: 'coaches' },
  ...{ asReference: false, givenOn: localDay(), until: null, note: '' },
});
const { draft, problems, failure, busy, send } = useForm(consentDraftShape, empty());
watch(open, (now) => now && Object.assign(draft, empty()));
const save = (): Promise<void> =>
  send(async (body) => {
    await request(consentEndpoints.giveConsent, { params: { consentId: body.id }, body: { ...body, until: body.until || null } });
    await given();
    open.value = false;
    notice.say(words.mayBeFilmedName(trainee.name));
  });
</script>

<template>
  <FormDialog
    v-model="open"
    :title="words.mayBeFilmed(trainee.name)"
    :save-name="words.theyAgree"
    :failure="failure"
    :busy="busy"
    @save="save"
  >
    <p class="aloud">
      {{ words.sayItAloudFilmsAre }}
    </p>
    <VTextField
      v-model="draft.givenBy"
      :label="minor ? words.guardianWhoAgrees : words.whoAgrees"
      :error-messages="problems.givenBy"
    />
    <VCheckbox
      v-model="draft.asGuardian"
      :label="words.asAGuardian"
      density="compact"
      :hide-details="!problems.asGuardian"
      :error-messages="problems.asGuardian"
    />
    <VRadioGroup v-model="draft.seenBy" :label="words.whoMaySeeIt" :error-messages="problems.seenBy">
      <VRadio v-for="one in seenByWhom" :key="one" :value="one" :label="seenByNames[one]" />
    </VRadioGroup>
    <VCheckbox v-model="draft.asReference" :label="words.mayBeShownToOthers" density="compact" hide-details />
    <VTextField
      v-model="draft.until"
      :label="words.untilOpenUntilItIs"
      type="date"
      clearable
      :error-messages="problems.until"
      class="mt-3"
    />
    <VTextarea v-model="draft.note" :label="words.noteWhereTheSignedSheet" rows="1" auto-grow :error-messages="problems.note" />
  </FormDialog>
</template>

<style scoped>
.aloud {
  margin-bottom: var(--space-4);
}
</style>
