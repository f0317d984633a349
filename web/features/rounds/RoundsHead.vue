<script setup lang="ts">
/** Which film it is, whether all is kept, and what is done to the whole of it. */
import { mdiKeyboardOutline, mdiRedo, mdiUndo } from '@mdi/js';
import type { Film } from '@wax-fist/contract/footage';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { viewNames } from '@wax-fist/core/technique';
import { shortDay } from '@wax-fist/core/words';
import type { Keys } from '../../app/keys/use-keys.ts';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import type { RoundsKey } from './rounds-keys.ts';
import { roundsWords as words } from './words.ts';

defineProps<{ film: Film; session: SessionDetail; keys: Keys<RoundsKey> }>();
/** All keys are to be shown. */
defineEmits<{ keys: [] }>();
const hitsAndRounds = useHitsAndRounds();
</script>

<template>
  <div class="head">
    <div>
      <p class="quiet">
        <RouterLink :to="{ name: 'session', params: { sessionId: session.id } }"
          >{{ session.trainee.name }}, {{ shortDay(session.heldOn) }}</RouterLink
        >
        · {{ viewNames[film.view] }} · {{ film.fileName }}
      </p>
      <h1>{{ words.hitsAndRounds }}</h1>
    </div>
    <div class="acts">
      <span class="quiet" role="status" :data-kept="!hitsAndRounds.unsent">{{
        hitsAndRounds.unsent ? words.saving : words.saved
      }}</span>
      <VBtn
        :icon="mdiUndo"
        size="small"
        variant="text"
        :aria-label="words.undo"
        :title="words.undoDrawn(keys.drawn('undo'))"
        :disabled="!hitsAndRounds.canUndo"
        @click="hitsAndRounds.undo()"
      />
      <VBtn
        :icon="mdiRedo"
        size="small"
        variant="text"
        :aria-label="words.redo"
        :title="words.redoDrawn(keys.drawn('redo'))"
        :disabled="!hitsAndRounds.canRedo"
        @click="hitsAndRounds.redo()"
      />
      <VBtn
        :icon="mdiKeyboardOutline"
        size="small"
        variant="text"
        :aria-label="words.keys"
        :title="words.keysByKey"
        @click="$emit('keys')"
      />
      <VBtn color="primary" :to="{ name: 'bench', params: { filmId: film.id } }">{{ words.review }}</VBtn>
    </div>
  </div>
</template>

<style scoped>
.head,
.acts {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: var(--space-1-5);
}
</style>
