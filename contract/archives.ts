import { array, boolean, number, object, string, type InferType } from 'yup';
import { costly, endpoint, headCoachOnly, seen } from './endpoint.ts';
import { count, id } from './shapes.ts';

/** What would become, or became, of the records of one kind. */
export const archivedKindShape = object({
  name: string().required(),
  added: count(),
  changed: count(),
  /** As they are here already. */
  same: count(),
  refused: count(),
});

/** What reading an archive comes to. */
export const readingShape = object({
  of: string().required(),
  madeAt: string().required(),
  kinds: array(archivedKindShape.required()).required(),
  /** Why some were refused; the first of them. */
  reasons: array(
    object({ name: string().required(), key: string().required(), says: string().required() }).required(),
  ).required(),
  /** What else is to be known. */
  notes: array(string().required()).required(),
});
export type Reading = InferType<typeof readingShape>;

export const archiveKinds = ['write', 'look', 'read'] as const;
/** An archive that is made, looked through, or read; or was. */
export const archiveShape = object({
  id: id(),
  kind: string().oneOf(archiveKinds).required(),
  /** Of whom; of the whole club where it is empty. */
  name: string().defined(),
  state: string().oneOf(['working', 'ready', 'failed']).required(),
  progress: number().min(0).max(1).required(),
  bytes: number().nullable().defined(),
  reason: string().nullable().defined(),
  reading: readingShape.nullable().default(null),
  askedAt: string().required(),
});
export type Archive = Omit<InferType<typeof archiveShape>, 'reading'> & { reading: Reading | null };

const one = { reply: archiveShape };

/** Archives of a trainee or of the whole club, made and read. */
export const archiveEndpoints = {
  /** Newest first. */
  listArchives: endpoint('GET', '/api/archives', headCoachOnly, { reply: array(archiveShape.required()).required() }),
  showArchive: endpoint('GET', '/api/archives/:archiveId', headCoachOnly, one),
  /** Of one trainee, or of the whole club without one. */
  makeArchive: costly(
    endpoint('POST', '/api/archives', headCoachOnly, {
      body: object({ id: id(), traineeId: id().nullable().default(null) }),
      ...one,
    }),
  ),
  /** Looks through an archive that was sent, or reads it in. What is here and differs stays, unless the archive is to win. */
  readArchive: costly(
    endpoint('POST', '/api/archives/readings', headCoachOnly, {
      body: object({
        id: id(),
        uploadId: string()
          .matches(/^[\w-]+$/)
          .required(),
        dryRun: boolean().required(),
        archiveWins: boolean().default(false),
      }),
      ...one,
    }),
  ),
  archiveFile: seen('archive', 'archiveId', endpoint('GET', '/api/archives/:archiveId/file', headCoachOnly)),
  removeArchive: endpoint('DELETE', '/api/archives/:archiveId', headCoachOnly),
};
