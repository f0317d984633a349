import { checklistEndpoints } from '@wax-fist/contract/checklists';
import { schoolEndpoints, type SavedSchool } from '@wax-fist/contract/schools';
import { callEndpoints, type SavedCallBook } from '@wax-fist/contract/calls';
import { stillEndpoints, type ReferenceStill } from '@wax-fist/contract/stills';
import { sixCall, type CallBook } from '@wax-fist/core/calls';
import { catalogueOf, shippedCatalogue, shippedVersion, type Catalogue, type ClubEdits } from '@wax-fist/core/technique';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { request } from '../../app/request.ts';
import { useAccount } from '../accounts/account-store.ts';

/** What a club throws and looks at: the newest checklists, and older ones for reviews that were made by them. */
export const useCatalogue = defineStore('catalogue', () => {
  const account = useAccount();
  const version = ref(shippedVersion);
  const newest = shallowRef<Catalogue>(shippedCatalogue);
  const schools = shallowRef<SavedSchool[]>([]);
  const books = shallowRef<SavedCallBook[]>([]);
  const stills = shallowRef<ReferenceStill[]>([]);
  const known = new Map<number, Catalogue>([[shippedVersion, shippedCatalogue]]);
  let loading: Promise<void> | undefined;

  async function load(): Promise<void> {
    const [versions, allSchools, allBooks, allStills] = await Promise.all([
      request(checklistEndpoints.listChecklistVersions),
      request(schoolEndpoints.listSchools),
      request(callEndpoints.listCallBooks),
      // Pictures of people are for those who work in the club.
      account.may(stillEndpoints.listReferenceStills) ? request(stillEndpoints.listReferenceStills) : [],
    ]);
    schools.value = allSchools;
    books.value = allBooks;
    stills.value = allStills;
    const [latest] = versions.rows;
    newest.value = await at(latest!.version);
    version.value = latest!.version;
  }
  /** Asked once; a page that changes something asks `again`. */
  const ready = (): Promise<void> =>
    (loading ??= load().catch((error: unknown) => {
      loading = undefined;
      throw error;
    }));
  const again = (): Promise<void> => (loading = load());

  async function editsAt(wanted: number): Promise<ClubEdits> {
    const { edits } = await request(checklistEndpoints.showChecklistVersion, { params: { version: String(wanted) } });
    return edits;
  }
  /** The catalogue of a version. @throws Refused when there is no such version */
  async function at(wanted: number): Promise<Catalogue> {
    const held = known.get(wanted);
    if (held) return held;
    const catalogue = catalogueOf(await editsAt(wanted));
    known.set(wanted, catalogue);
    return catalogue;
  }

  /** Schools as a field offers them. */
  const schoolItems = computed(() => schools.value.map(({ id, name }) => ({ value: id, title: name })));
  /** The school of somebody: the club’s where they have none of their own. */
  const schoolOf = (schoolId: string | null): SavedSchool | undefined =>
    schools.value.find((one) => (schoolId ? one.id === schoolId : one.clubDefault)) ?? schools.value[0];
  /** What is thrown, as a field offers it: holding is none of it. */
  const techniqueItems = computed(() =>
    [...newest.value.techniques.values()]
      .filter(({ kind }) => kind !== 'holding')
      .map(({ id, name }) => ({ value: id, title: name })),
  );
  const book = (id: string): CallBook => books.value.find((one) => one.id === id) ?? sixCall;
  /** By which somebody is called: by the club’s own where they have no school. */
  const bookOf = (schoolId: string | null): CallBook => book(schoolOf(schoolId)?.bookId ?? '');

  void ready().catch(() => undefined);
  return {
    version,
    newest,
    schools,
    schoolItems,
    schoolOf,
    techniqueItems,
    books,
    stills,
    ready,
    again,
    at,
    editsAt,
    book,
    bookOf,
  };
});
