<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { mdiAccountMultipleCheckOutline, mdiDeleteOutline, mdiRefresh, mdiStop } from '@mdi/js';
import { filmExports, filmExportUrl } from '@wax-fist/contract/exports';
import { footageEndpoints, type Film } from '@wax-fist/contract/footage';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { stances, viewNames, views, type Stance, type View } from '@wax-fist/core/technique';
import { computed, ref } from 'vue';
import { request } from '../../app/request.ts';
import { useAccount } from '../accounts/account-store.ts';
import { inWork, lacking } from '../footage/film-work.ts';
import FilmRow from '../footage/FilmRow.vue';
import TakeAlong from '../exports/TakeAlong.vue';
import { useMarksBeside } from '../marks-elsewhere/marks-beside-store.ts';
import { useRemoving } from '../removals/use-removing.ts';
import SecondCoachDialog from '../reviewing/SecondCoachDialog.vue';
import { sessionsWords as words } from './words.ts';

/** The films of a session, and what can be done with each. */
const { session } = defineProps<{ session: SessionDetail }>();
const emit = defineEmits<{ changed: [] }>();
const shown = computed(() => session.films.filter(({ state }) => state !== 'withdrawn'));
const withdrawn = computed(() => session.films.length - shown.value.length);
const marksBeside = useMarksBeside();
const account = useAccount();
const remark = ref<string>();

async function tried(doing: Promise<unknown>): Promise<void> {
  remark.value = undefined;
  await doing.catch((error: unknown) => (remark.value = messageOf(error)));
  emit('changed');
}
const change = (film: Film, body: { view: View } | { stance: Stance | null }): Promise<void> =>
  tried(request(footageEndpoints.changeFilm, { params: { filmId: film.id }, body }));
const setView = (film: Film, view: View): Promise<void> => change(film, { view });
/** The usual foot in front need not be said of a film, and follows the trainee. */
const setStance = (film: Film, stance: Stance): Promise<void> =>
  change(film, { stance: stance === session.trainee.stance ? null : stance });
const act = (film: Film, what: 'retryFilm' | 'stopFilm'): Promise<void> =>
  tried(request(footageEndpoints[what] as typeof footageEndpoints.stopFilm, { params: { filmId: film.id } }));
const removed = useRemoving();
/** A film that is about to be removed. */
const removing = ref<Film>();
/** What only adds to a review may wait for hours: it keeps nobody from removing a film. */
const mayRemove = (film: Film): boolean =>
  (film.strikes === 0 || account.judges) &&
  (film.state === 'ready' || !inWork(film)) &&
  account.may(footageEndpoints.removeFilm, film.addedBy);
async function removeIt(): Promise<void> {
  const film = removing.value!;
  removing.value = undefined;
  await tried(
    request(footageEndpoints.removeFilm, { params: { filmId: film.id } }).then((removal) =>
      removed(removal, () => emit('changed')),
    ),
  );
}
/** The film for which a second coach is chosen. */
const twice = ref<Film>();
const textsOf = (film: Film) => filmExports.map(({ file, name }) => ({ name, url: filmExportUrl(film.id, file) }));
const chosen = (event: Event) => (event.target as HTMLSelectElement).value;
</script>

<template>
  <div>
    <VAlert
      v-if="remark"
      type="warning"
      variant="tonal"
      density="compact"
      closable
      class="mb-2"
      role="alert"
      @click:close="remark = undefined"
      >{{ remark }}</VAlert
    >
    <p v-if="withdrawn > 0" class="quiet">
      {{ words.filmsWithdrawn(withdrawn) }}
    </p>
    <ul v-if="shown.length > 0" class="list">
      <FilmRow v-for="film in shown" :key="film.id" :film="film">
        <template #view>
          <select
            :value="film.view"
            :aria-label="words.fromWhereWasFilmed(film.fileName)"
            class="view"
            @change="setView(film, chosen($event) as View)"
          >
            <option v-for="view in views" :key="view" :value="view">{{ viewNames[view] }}</option>
          </select>
          ·
          <select
            :value="film.stance ?? session.trainee.stance"
            :aria-label="words.whichFootLeadsIn(film.fileName)"
            class="view"
            @change="setStance(film, chosen($event) as Stance)"
          >
            <option v-for="stance in stances" :key="stance" :value="stance">{{ stance }}</option>
          </select>
        </template>
        <template #act>
          <VBtn
            v-if="film.state === 'failed' || film.state === 'stopped' || lacking(film).length > 0"
            variant="outlined"
            :prepend-icon="mdiRefresh"
            @click="act(film, 'retryFilm')"
            >{{ film.state === 'stopped' ? words.goOn : words.tryAgain }}</VBtn
          >
          <VBtn
            v-if="inWork(film)"
            :icon="mdiStop"
            size="small"
            variant="text"
            :aria-label="words.stopWorkingOn(film.fileName)"
            :title="words.stopWorkingOnThisFilm"
            @click="act(film, 'stopFilm')"
          />
          <VBtn
            v-if="film.state === 'ready' && marksBeside.beside(session.id, film.fileName)"
            color="primary"
            variant="tonal"
            :to="{ name: 'marks-elsewhere', params: { filmId: film.id } }"
            >{{ words.readItsMarks }}</VBtn
          >
          <VBtn v-if="film.state === 'ready'" variant="outlined" :to="{ name: 'hits-and-rounds', params: { filmId: film.id } }">{{
            words.rounds
          }}</VBtn>
          <TakeAlong
            v-if="film.state === 'ready'"
            small
            :label="words.takeAlongOrReadIn(film.fileName)"
            :files="film.strikes > 0 && account.judges ? textsOf(film) : []"
          >
            <VListItem :to="{ name: 'marks-elsewhere', params: { filmId: film.id } }" :title="words.readInMarksMadeElsewhere" />
          </TakeAlong>
          <VBtn
            v-if="account.judges && film.state === 'ready' && film.strikes > 0 && !film.secondCoach?.done"
            :icon="mdiAccountMultipleCheckOutline"
            size="small"
            variant="text"
            :aria-label="words.haveMarkedASecondTime(film.fileName)"
            :title="words.haveItMarkedASecond"
            @click="twice = film"
          />
          <VBtn
            v-if="mayRemove(film)"
            :icon="mdiDeleteOutline"
            size="small"
            variant="text"
            :aria-label="words.removeFileName(film.fileName)"
            :title="words.removeThisFilm"
            @click="removing = film"
          />
        </template>
      </FilmRow>
    </ul>
    <VDialog :model-value="removing !== undefined" max-width="480" @update:model-value="removing = undefined">
      <VCard class="pa-6" :title="words.removeAskedFileName(removing?.fileName ?? '')">
        <p class="mb-4">
          {{
            words.itGoesWithForA(
              removing && removing.strikes > 0 ? words.markedStrikes(removing.strikes) : words.everythingThatWasMadeFrom,
            )
          }}
        </p>
        <div class="acts">
          <VBtn variant="text" @click="removing = undefined">{{ words.keepIt }}</VBtn>
          <VBtn color="error" @click="removeIt">{{ words.removeIt }}</VBtn>
        </div>
      </VCard>
    </VDialog>
    <SecondCoachDialog v-if="twice" :film="twice" @close="twice = undefined" @changed="emit('changed')" />
  </div>
</template>

<style scoped>
.view {
  font: inherit;
  color: inherit;
  border: 0;
  border-bottom: 1px dotted;
  background: none;
  padding: var(--space-0-5) 0;
}
</style>
