import type { Stance } from '@wax-fist/core/technique';
import { sql } from 'drizzle-orm';
import { film, strike, trainee } from './schema/index.ts';

/** Which foot leads in a film: the trainee’s usual one unless the film says otherwise. */
export const leads = sql<Stance>`coalesce(${film.stance}, ${trainee.stance})`;

/** When a strike landed, in milliseconds from the first frame. Frames are taken as evenly spread, which is near enough to tell its round. */
export const landedAt = sql<number>`${strike.contactFrame}::float / nullif(${film.frames} - 1, 0) * ${film.duration}`;
