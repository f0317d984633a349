<script setup lang="ts">
import type { FaultRate } from '@wax-fist/core/correction';
import { computed } from 'vue';
import { rateInWords } from '@wax-fist/core/words';
import SpanBand from '../../app/SpanBand.vue';

/** A fault rate on the band of its interval, from 0 to 100%, with the target as a line. */
const { rate, target = undefined } = defineProps<{ rate: FaultRate; target?: number }>();
const figure = computed(() => (rate.seen > 0 ? { value: rate.rate, low: rate.low, high: rate.high } : undefined));
</script>

<template>
  <SpanBand :figure="figure" :line="target" :says="rateInWords(rate)" :few="!rate.enough" />
</template>
