import { removalEndpoints, type Removal } from '@wax-fist/contract/removals';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { removalsWords as words } from './words.ts';

/** @throws Refused, Unreachable */
export const putBack = (removal: Pick<Removal, 'id'>): Promise<unknown> =>
  request(removalEndpoints.putBack, { params: { removalId: removal.id } });

/** Says that something is removed, with the way back. */
export function useRemoving() {
  const notice = useNotice();
  /** @param back what is to be seen once it is back */
  return function removed(removal: Removal, back: () => unknown): void {
    notice.say(words.isRemovedForADay(removal.says), async () => {
      await putBack(removal);
      await back();
    });
  };
}
