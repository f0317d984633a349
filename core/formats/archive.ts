/** What a file has to call itself to be read. */
export const archiveFormat = 'wax-fist-archive';
/** Raised when older programs could not read it any more. */
export const archiveVersion = 1;

/** What stands in the archive, with what it has to be. */
export interface ArchivedFile {
  path: string;
  bytes: number;
  /** Hexadecimal. */
  sha256: string;
}

/** The last entry of an archive: what it is, of whom, and everything that is in it. */
export interface ArchiveManifest {
  format: typeof archiveFormat;
  version: number;
  /** ISO 8601. */
  madeAt: string;
  of: { kind: 'club' | 'trainee'; name: string };
  /** Whoever has said something in it; their names alone. */
  people: { id: string; name: string }[];
  /** In the order in which they are read: what others refer to comes first. */
  records: { name: string; rows: number }[];
  files: ArchivedFile[];
}

/** Where things stand in it. */
export const manifestPath = 'archive.json';
export const schemaPath = 'schema.json';
export const recordsPath = (name: string): string => `records/${name}.jsonl`;
export const filmPath = (filmId: string, file: string): string => `films/${filmId}/${file}`;

/** The film, and the file of it, that a path is of; undefined for a path of something else. */
export function filmOfPath(path: string): { filmId: string; file: string } | undefined {
  const [, filmId, file] = /^films\/([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})\/([a-z]+(?:\.[a-z0-9]+)?)$/.exec(path) ?? [];
  return filmId === undefined ? undefined : { filmId, file: file! };
}
/** Whether an archive may hold something there: nothing that leads out of it, and nothing of which nobody knows what it is. */
export const isArchivePath = (path: string): boolean =>
  path === manifestPath || path === schemaPath || /^records\/[a-z_]+\.jsonl$/.test(path) || filmOfPath(path) !== undefined;
