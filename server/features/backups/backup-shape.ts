import { derivedFiles } from '@wax-fist/contract/footage';
import { array, mixed, number, object, string, type InferType } from 'yup';

/** What stands open in a folder of backups: how a passphrase becomes its key, and a word by which it is known. */
export const backupShape = object({
  format: string().oneOf(['wax-fist-backup']).required(),
  version: number().oneOf([1]).required(),
  key: object({
    salt: string().required(),
    memoryKiB: number().integer().min(1024).max(4_194_304).required(),
    rounds: number().integer().min(1).max(100).required(),
  }),
  check: string().required(),
});
export type BackupPlace = InferType<typeof backupShape>;

const plain = { bytes: number().integer().min(0).required(), sha256: string().required() };
const keptFilm = object({
  filmId: string().required(),
  file: string()
    .oneOf(['original', ...derivedFiles])
    .required(),
  /** When it was written in its store: with its length that says whether it is the same still. */
  writtenAt: number().required(),
  ...plain,
});

/** What a backup holds, sealed: the database as it was at one moment, and every file of every film of that moment. */
export const openedShape = object({
  madeAt: string().required(),
  /** How many migrations its database has. */
  migrations: number().integer().min(0).required(),
  /** Rows of every table. */
  tables: mixed<Record<string, number>>().required(),
  dump: object(plain),
  films: array(keptFilm.required()).required(),
  /** By which sign-ins are signed: without it everybody signs in anew. */
  cookieSecret: string().nullable().defined(),
});
export type Snapshot = InferType<typeof openedShape>;
export type KeptFilm = InferType<typeof keptFilm>;
