import { uploadPath } from '@wax-fist/contract/footage';
import { DetailedError, Upload, type UploadOptions } from 'tus-js-client';
import { footageWords as words } from './words.ts';

/** Tried again after a dropped line, for about twenty minutes; then the coach is asked. */
const retryDelays = [0, 1000, 2000, 4000, ...Array.from({ length: 120 }, () => 10_000)];

/** How everything is sent: in pieces, from where it stopped, and not again what the server has no room for. */
export const sendingOptions = (fileName: string) =>
  ({
    endpoint: uploadPath,
    retryDelays,
    chunkSize: 16 * 1024 ** 2,
    removeFingerprintOnSuccess: true,
    metadata: { filename: fileName },
    onShouldRetry: (error) => ![413, 507].includes(error.originalResponse?.getStatus() ?? 0),
  }) satisfies UploadOptions;

/** Why the server would not have it, in its own words where it has some. */
export function reasonOf(error: Error): { reason: string; again: boolean } {
  const answer = error instanceof DetailedError ? error.originalResponse : undefined;
  const said = answer?.getBody();
  if (answer && [413, 507].includes(answer.getStatus()) && said) return { reason: said, again: answer.getStatus() === 507 };
  return { reason: words.theUploadStoppedTheServer, again: true };
}

/** Sends a file; what an earlier try left half sent goes on from there. @returns the upload’s id @throws Error in words for the person */
export async function sendFile(file: File, progress: (share: number) => void): Promise<string> {
  const sent = await new Promise<Upload>((resolve, reject) => {
    const sending: Upload = new Upload(file, {
      ...sendingOptions(file.name),
      onProgress: (bytes) => progress(bytes / file.size),
      onError: (error) => reject(new Error(reasonOf(error).reason)),
      onSuccess: () => resolve(sending),
    });
    void sending.findPreviousUploads().then(([earlier]) => {
      if (earlier) sending.resumeFromPreviousUpload(earlier);
      sending.start();
    });
  });
  return sent.url!.split('/').at(-1)!;
}
