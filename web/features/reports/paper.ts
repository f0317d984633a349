import { papers, type Paper } from '@wax-fist/contract/reports';
import { ref, watch, type Ref } from 'vue';
import { remember, remembered } from '../../app/remembered.ts';

const isPaper = (kept: unknown): kept is Paper => papers.some((one) => one === kept);

/** The paper that is used here; this browser remembers it. */
export function usePaper(): Ref<Paper> {
  const paper = ref<Paper>(remembered('paper', isPaper) ?? 'a4');
  watch(paper, (now) => remember('paper', now));
  return paper;
}
