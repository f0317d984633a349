import { drillEndpoints } from '@wax-fist/contract/drills';
import { shippedDrills, type Drill } from '@wax-fist/core/drills';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { request } from '../../app/request.ts';

/** Every drill: those of the club’s own first, then those that ship. */
export const useDrills = defineStore('drills', () => {
  const own = shallowRef<Drill[]>([]);
  let loading: Promise<void> | undefined;
  const again = (): Promise<void> => (loading = request(drillEndpoints.listDrills).then((listed) => void (own.value = listed)));
  const ready = (): Promise<void> =>
    (loading ??= again().catch((error: unknown) => {
      loading = undefined;
      throw error;
    }));
  const drills = computed<readonly Drill[]>(() => [...own.value, ...shippedDrills]);
  const named = (id: string | null | undefined): Drill | undefined => drills.value.find((drill) => drill.id === id);
  const isOwn = (id: string): boolean => own.value.some((drill) => drill.id === id);
  return { drills, own, named, isOwn, ready, again };
});
