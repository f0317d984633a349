<script setup lang="ts">
import { measureEndpoints, type MeasureAgreement } from '@wax-fist/contract/measures';
import { checkpointName } from '@wax-fist/core/technique';
import { messageOf } from '@wax-fist/core/message-of';
import { computed, ref } from 'vue';
import { decimal, percent } from '@wax-fist/core/words';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { whileTrue } from '../../app/while-true.ts';
import { useAccount } from '../accounts/account-store.ts';
import { useNotice } from '../../app/notice-store.ts';
import FamilySign from '../checklists/FamilySign.vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { advisedAgainst, agreementInWords, enoughToTell } from './agreement-words.ts';
import { measuresWords as words } from './words.ts';

/** What is measured in this club, how well it goes along with its coaches, and whether it may count by itself. */
const catalogue = useCatalogue();
const account = useAccount();
const notice = useNotice();
const mayChange = computed(() => account.may(measureEndpoints.countMeasure));
const { value: page, failure, again } = useAnswer(() => request(measureEndpoints.measureAgreements));
const measuring = computed(() => (page.value?.left ?? 0) > 0);
whileTrue(measuring, again, 300);

const rows = computed(() =>
  (page.value?.measures ?? [])
    .map((one) => ({
      ...one,
      name: checkpointName(catalogue.newest, one.checkpointId),
      family: catalogue.newest.checkpoints.get(one.checkpointId)?.family,
    }))
    .sort((one, other) => other.strikes - one.strikes || (one.name < other.name ? -1 : 1)),
);
const remark = ref<string>();
async function count({ checkpointId }: MeasureAgreement, counts: boolean): Promise<void> {
  remark.value = undefined;
  await request(measureEndpoints.countMeasure, { params: { checkpoint: checkpointId }, body: { counts } }).then(
    () =>
      notice.say(
        `${checkpointName(catalogue.newest, checkpointId)} ${counts ? words.countsByItselfNowWhere : words.countsOnlyWhenACoach}.`,
      ),
    (error: unknown) => (remark.value = messageOf(error)),
  );
  await again();
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ words.measures }}</h1>
        <p class="quiet">
          {{ words.howOftenWhatIsMeasured }}
        </p>
      </div>
      <span class="acts">
        <VBtn variant="outlined" :to="{ name: 'found-names' }">{{ words.namesFound }}</VBtn>
        <VBtn variant="outlined" :to="{ name: 'point-checks' }">{{ words.pointsChecked }}</VBtn>
      </span>
    </div>
    <VAlert v-if="remark" type="warning" variant="tonal" role="alert" class="mb-4">{{ remark }}</VAlert>
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <p v-if="page && measuring" class="measuring" role="status">
        <VProgressCircular indeterminate size="18" width="2" aria-hidden="true" /> {{ words.filmStillToBeMeasured(page.left) }}
      </p>
      <div v-if="rows.length === 0 && !measuring" class="empty">
        {{ words.nothingIsMeasuredYetAdd }}
      </div>
      <table v-else-if="rows.length > 0" class="figures">
        <thead>
          <tr>
            <th>{{ words.checkpoint }}</th>
            <th class="figure">{{ words.measured }}</th>
            <th class="figure">{{ words.judgedToo }}</th>
            <th>{{ words.agree }}</th>
            <th>{{ words.beyondChance }}</th>
            <th>{{ words.leans }}</th>
            <th>{{ words.countsByItself }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.checkpointId">
            <td>
              <span class="what"><FamilySign :family="row.family" /> {{ row.name }}</span>
            </td>
            <td class="figure number">{{ row.measured }}</td>
            <td class="figure number">{{ row.strikes }}</td>
            <td v-if="row.coarse" colspan="3" class="quiet">{{ words.tooCoarseForItsBand }}</td>
            <template v-else-if="enoughToTell(row)">
              <td>
                <span class="share"
                  ><span class="bar"><i :style="{ width: percent(row.same!) }" /></span
                  ><span class="number">{{ percent(row.same!) }}</span></span
                >
              </td>
              <td>
                <span class="number" :title="words.cohensKappa">{{ row.kappa === null ? '–' : decimal(row.kappa, 2) }}</span>
                <span class="quiet kappa">{{ agreementInWords(row).kappa }}</span>
              </td>
              <td class="quiet">{{ agreementInWords(row).bias }}</td>
            </template>
            <td v-else colspan="3" class="quiet">{{ words.tooFewToSay }}</td>
            <td class="switch">
              <VSwitch
                :model-value="row.counts"
                :disabled="!mayChange || (row.coarse && !row.counts)"
                :aria-label="words.countsByItselfName(row.name)"
                :label="row.counts ? words.on : words.off"
                density="compact"
                color="primary"
                hide-details
                inset
                @update:model-value="count(row, $event === true)"
              />
              <small v-if="row.counts && row.by" class="quiet">{{ words.byBy(row.by) }}</small>
              <small v-else-if="!row.coarse && advisedAgainst(row)" class="quiet">{{ words.betterLeftOff }}</small>
            </td>
          </tr>
        </tbody>
      </table>
    </PageState>
  </div>
</template>

<style scoped>
.measuring {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  margin-bottom: var(--space-3);
}
td {
  padding-block: var(--space-0-5);
  height: 46px;
}
.what {
  display: flex;
  gap: var(--space-2);
  align-items: center;
}
.switch {
  white-space: nowrap;
  line-height: 1;
}
.kappa {
  margin-left: var(--space-2);
}
.share {
  display: flex;
  gap: var(--space-2);
  align-items: center;
}
.bar {
  width: 90px;
  height: 10px;
  background: var(--line);
}
.bar i {
  display: block;
  height: 100%;
  background: rgb(var(--v-theme-primary));
}
@media screen and (max-width: 899px) {
  thead {
    position: absolute;
    clip-path: inset(50%);
  }
  tbody {
    display: block;
  }
  tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: var(--space-0-5) var(--space-3);
    padding: var(--space-2) var(--space-3);
    border-top: 1px solid var(--line);
  }
  td {
    border: 0;
    padding: 0;
    height: auto;
  }
  td:nth-child(2)::before {
    content: 'measured ';
  }
  td:nth-child(3)::before {
    content: 'judged too ';
  }
  .figure {
    text-align: left;
    font-size: var(--type-small);
    color: var(--quiet);
  }
  td:nth-child(n + 2) {
    grid-column: 1 / -1;
  }
  td:first-child {
    grid-area: 1 / 1;
  }
  td.switch {
    grid-area: 1 / 2;
  }
}
</style>
