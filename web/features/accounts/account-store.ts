import { accountEndpoints, accountShape, type Account } from '@wax-fist/contract/accounts';
import { coaches, isStaff, scopeOf, type Endpoint } from '@wax-fist/contract/endpoint';
import type { Manner } from '@wax-fist/core/words';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { remember as keep, remembered } from '../../app/remembered.ts';
import { request, signedInAnew, Unreachable } from '../../app/request.ts';

const rememberedAs = 'wax.me';
const isAccount = (kept: unknown): kept is Account => accountShape.isValidSync(kept, { strict: true });

/** Who sits here. Remembered by name and id, so that a bench can be opened again while the server is away. */
export const useAccount = defineStore('account', () => {
  const me = ref<Account>();
  let asked: Promise<void> | undefined;

  const remember = (account: Account | undefined): void => {
    me.value = account;
    keep(rememberedAs, account);
  };

  /** Whether somebody is signed in; asks the server once. */
  async function known(): Promise<boolean> {
    asked ??= request(accountEndpoints.me).then(remember, (error: unknown) => {
      const kept = remembered(rememberedAs, isAccount);
      if (error instanceof Unreachable && kept) me.value = kept;
      else remember(undefined);
    });
    await asked;
    if (!me.value) asked = undefined;
    return me.value !== undefined;
  }

  /** Whether whoever sits here works in the club; trainees and guardians have pages of their own. */
  const worksHere = computed(() => me.value !== undefined && isStaff(me.value.role));

  /** Whether they judge what comes of a review, and not only film and mark. */
  const judges = computed(() => scopeOf(coaches, me.value?.role) !== undefined);

  /** Whether whoever sits here may call; where a role reaches its own only, it is asked who added the thing. */
  function may({ allowed }: Pick<Endpoint, 'allowed'>, addedBy?: string | null): boolean {
    const scope = scopeOf(allowed, me.value?.role);
    return scope === 'club' || (scope === 'own' && addedBy === me.value?.id);
  }

  /** Somebody has come in: by their password, or by a link. */
  function enter(known: Account): void {
    remember(known);
    signedInAnew();
  }
  /** @param code of the second factor, where there is one */
  const signIn = async (email: string, password: string, code = ''): Promise<void> =>
    enter(await request(accountEndpoints.signIn, { body: { email, password, code } }));

  /** Reads in another manner from now on: what is on the screen is told anew at once. */
  async function readIn(manner: Manner): Promise<void> {
    const saved = await request(accountEndpoints.saveManner, { body: manner });
    if (me.value) remember({ ...me.value, manner: saved });
  }

  /** Something about oneself is otherwise now: the server says what. */
  const readAnew = async (): Promise<void> => remember(await request(accountEndpoints.me));

  /** The server has forgotten this browser: the next page asks again. What waits to be sent stays kept for this account. */
  function forget(): void {
    asked = undefined;
    remember(undefined);
  }

  async function signOut(): Promise<void> {
    await request(accountEndpoints.signOut);
    forget();
  }

  return { me, readAnew, readIn, may, worksHere, judges, known, enter, signIn, signOut, forget };
});
