import { archiveEndpoints, type Archive } from '@wax-fist/contract/archives';
import { messageOf } from '@wax-fist/core/message-of';
import { v7 as uuid } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { whileTrue } from '../../app/while-true.ts';
import { sendFile } from '../footage/send-file.ts';

/** Archives that are made and read, how far each is, and what one would bring. */
export function useArchives() {
  const { value: archives, failure, again } = useAnswer(() => request(archiveEndpoints.listArchives));
  const trouble = ref<string>();
  whileTrue(
    computed(() => archives.value?.some(({ state }) => state === 'working')),
    again,
    700,
  );
  const tried = async (doing: () => Promise<unknown>): Promise<void> => {
    trouble.value = undefined;
    await doing().catch((error: unknown) => (trouble.value = messageOf(error)));
    await again();
  };

  /** The share of a file that is sent; undefined while none is. */
  const sent = ref<number>();
  /** What was sent last, and the id of the look through it. */
  const inHand = shallowRef<{ fileName: string; uploadId: string; lookId: string; readId?: string }>();
  const ask = (id: string, uploadId: string, dryRun: boolean, archiveWins: boolean) =>
    request(archiveEndpoints.readArchive, { body: { id, uploadId, dryRun, archiveWins } });
  const jobOf = (id: string | undefined): Archive | undefined => archives.value?.find((one) => one.id === id);

  return {
    archives: computed(() => archives.value?.filter(({ kind }) => kind === 'write')),
    failure,
    again,
    trouble,
    sent,
    inHand,
    look: computed(() => jobOf(inHand.value?.lookId)),
    reading: computed(() => jobOf(inHand.value?.readId)),
    make: (traineeId: string | null) => tried(() => request(archiveEndpoints.makeArchive, { body: { id: uuid(), traineeId } })),
    remove: (archiveId: string) => tried(() => request(archiveEndpoints.removeArchive, { params: { archiveId } })),
    /** Sends a file and has it looked through. */
    lookThrough: (file: File, archiveWins: boolean) =>
      tried(async () => {
        inHand.value = undefined;
        sent.value = 0;
        try {
          const uploadId = await sendFile(file, (share) => (sent.value = share));
          const lookId = uuid();
          await ask(lookId, uploadId, true, archiveWins);
          inHand.value = { fileName: file.name, uploadId, lookId };
        } finally {
          sent.value = undefined;
        }
      }),
    /** The same file once more, with another word about who wins. */
    lookAgain: (archiveWins: boolean) =>
      tried(async () => {
        const { value: file } = inHand;
        if (!file) return;
        const lookId = uuid();
        await ask(lookId, file.uploadId, true, archiveWins);
        inHand.value = { ...file, lookId };
      }),
    readIn: (archiveWins: boolean) =>
      tried(async () => {
        const { value: file } = inHand;
        if (!file) return;
        const readId = uuid();
        await ask(readId, file.uploadId, false, archiveWins);
        inHand.value = { ...file, readId };
      }),
  };
}
