import type { Settings } from '../settings.ts';
import { folderStorage } from './folder.ts';
import { s3Storage } from './s3.ts';
import type { Storage } from './storage.ts';

/** The storage that the settings name: a folder unless there is an S3 store. */
export const storageFrom = ({ home, s3 }: Settings): Storage => (s3 ? s3Storage(s3, home) : folderStorage(home));
