import { archiveFormat, archiveVersion, manifestPath, schemaPath, type ArchiveManifest } from '@wax-fist/core/formats';
import { Ajv2020, type ErrorObject } from 'ajv/dist/2020.js';
import formats from 'ajv-formats';
import { sum } from 'd3-array';
import { createHash } from 'node:crypto';
import { Refusal } from '../../http/refusal.ts';
import { archiveSchema } from './archive-schema.ts';
import type { OpenArchive } from './open-archive.ts';
import { recordKinds } from './records.ts';

const ajv = new Ajv2020({ allErrors: false, strict: false });
(formats as unknown as (ajv: Ajv2020) => void)(ajv);
const manifestHolds = ajv.compile<ArchiveManifest>({ ...archiveSchema, $defs: {} });
const recordHolds = new Map(recordKinds.map(({ name }) => [name, ajv.compile(archiveSchema.$defs[name] as object)]));

const errorInWords = ([error]: ErrorObject[] = []): string =>
  error ? `${error.instancePath.slice(1).replaceAll('/', '.') || 'it'} ${error.message}` : 'it is not as it has to be';

/** Why a record is not one; undefined when it is. */
export function recordProblem(name: string, row: unknown): string | undefined {
  const holds = recordHolds.get(name)!;
  return holds(row) ? undefined : errorInWords(holds.errors ?? undefined);
}

const refuse = (says: string): never => {
  throw new Refusal(422, says);
};

/** Reads what an archive says of itself, and looks whether all of that, and nothing else, is in it. @throws Refusal */
export async function manifestOf(archive: OpenArchive): Promise<ArchiveManifest> {
  if (!archive.paths.has(manifestPath)) refuse(`This is no archive: “${manifestPath}” is missing in it.`);
  let told: unknown;
  try {
    told = JSON.parse(await archive.text(manifestPath));
  } catch (error) {
    if (error instanceof Refusal) throw error;
    refuse(`“${manifestPath}” cannot be read. Copy the archive again.`);
  }
  const { format, version } = (told ?? {}) as { format?: unknown; version?: unknown };
  if (format !== archiveFormat) refuse('This is an archive of something else.');
  if (typeof version === 'number' && version > archiveVersion)
    refuse(`This archive was made by a newer version of Wax Fist (form ${version}; this one reads up to ${archiveVersion}).`);
  if (!manifestHolds(told))
    return refuse(`“${manifestPath}” is not as it has to be: ${errorInWords(manifestHolds.errors ?? undefined)}.`);
  const known = new Set(recordKinds.map(({ name }) => name));
  for (const { name } of told.records) if (!known.has(name)) refuse(`Nobody here knows records of the kind “${name}”.`);
  const listed = new Set(told.files.map(({ path }) => path));
  for (const path of archive.paths)
    if (path !== manifestPath && !listed.has(path)) refuse(`“${path}” is in this archive, but it does not say so of itself.`);
  for (const { path, bytes } of told.files) {
    if (!archive.paths.has(path)) refuse(`“${path}” is missing in this archive.`);
    if (archive.bytesOf(path) !== bytes) refuse(`“${path}” is not as long as it was. Copy the archive again.`);
  }
  return told;
}

/** Reads everything once and looks whether it is what it was. @throws Refusal */
export async function hashesHold(archive: OpenArchive, { files }: ArchiveManifest, told: (share: number) => void): Promise<void> {
  const all = sum(files, ({ bytes }) => bytes) || 1;
  let done = 0;
  for (const { path, sha256 } of files) {
    const hash = createHash('sha256');
    try {
      for await (const piece of await archive.read(path)) {
        hash.update(piece as Buffer);
        told((done += (piece as Buffer).length) / all);
      }
    } catch (error) {
      if (error instanceof Refusal) throw error;
      refuse(`“${path}” is damaged. Copy the archive again.`);
    }
    if (hash.digest('hex') !== sha256) refuse(`“${path}” is not what it was when the archive was made. Nothing is read in.`);
  }
  if (files.every(({ path }) => path !== schemaPath)) refuse(`“${schemaPath}” is missing in this archive.`);
}
