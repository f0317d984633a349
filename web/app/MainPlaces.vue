<script setup lang="ts">
import { useRoute } from 'vue-router';
import { appWords as words } from './words.ts';

interface Place {
  to: string;
  name: string;
  icon: string;
  /** What else belongs to it. */
  also?: readonly string[];
}
/** The main menu: above on a wide window, below at the thumb on a phone. */
defineProps<{ places: readonly Place[]; below?: boolean }>();
const route = useRoute();
const isHere = ({ to, also = [] }: Place): boolean =>
  to === '/' ? route.path === '/' : [to, ...also].some((one) => route.path.startsWith(one));
</script>

<template>
  <nav :aria-label="words.main" :class="{ below }">
    <RouterLink
      v-for="place in places"
      :key="place.to"
      :to="place.to"
      class="place"
      :class="{ here: isHere(place) }"
      :aria-current="isHere(place) ? 'page' : undefined"
    >
      <VIcon :icon="place.icon" :size="below ? 24 : 20" /> {{ place.name }}
    </RouterLink>
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  gap: var(--space-1);
  align-self: stretch;
}
.place {
  display: inline-flex;
  align-items: center;
  gap: var(--space-2);
  padding: 0 var(--space-4);
  color: var(--white);
  text-decoration: none;
  font-weight: 700;
  border-bottom: 4px solid transparent;
  border-top: 4px solid transparent;
  opacity: 0.85;
}
.place.here {
  border-bottom-color: var(--signal);
  opacity: 1;
}
nav.below {
  width: 100%;
  gap: 0;
}
.below .place {
  flex: 1 1 0;
  min-width: 0;
  flex-direction: column;
  justify-content: center;
  gap: 0;
  padding: 0 1px;
  font-size: var(--type-tiny);
  white-space: nowrap;
  border-bottom-width: 0;
}
.below .place.here {
  border-top-color: var(--signal);
}
</style>
