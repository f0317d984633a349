import type { SessionDetail } from '@wax-fist/contract/sessions';
import { isReadOfHolder } from '@wax-fist/core/measure';
import type { CheckpointId } from '@wax-fist/core/technique';
import type { Centimetres, Ratio } from '@wax-fist/core/units';

export type WhoIsInIt = Pick<SessionDetail, 'trainee' | 'holder'>;
/** In whose centimetres a length is told: of whoever it is measured of. Null where nobody has said how tall they are. */
export const statureOf = ({ trainee, holder }: WhoIsInIt, checkpoint: CheckpointId): Centimetres | null =>
  isReadOfHolder(checkpoint) ? (holder?.stature ?? null) : trainee.stature;
/** How tall whoever holds is, of whoever strikes: as tall is taken for the other one that a strike is thrown at. Undefined where that is not known of both. */
export const opponentOf = ({ trainee, holder }: WhoIsInIt): Ratio | undefined =>
  trainee.stature && holder?.stature ? holder.stature / trainee.stature : undefined;
