import { array, number, object, string, type InferType } from 'yup';
import { endpoint, headCoachOnly } from './endpoint.ts';
import { count, instant } from './shapes.ts';

/** A backup that came to its end and was read back. */
export const backupShape = object({
  name: string().required(),
  madeAt: instant(),
  verifiedAt: instant(),
  films: count(),
  /** Of all films, and of those that no backup before held. */
  bytes: number().min(0).required(),
  added: number().min(0).required(),
});
export type Backup = InferType<typeof backupShape>;

/** When the club was backed up; it is done by bin/backup, on the machine. */
export const backupEndpoints = {
  /** The newest ten, newest first. */
  listBackups: endpoint('GET', '/api/backups', headCoachOnly, { reply: array(backupShape.required()).required() }),
};
