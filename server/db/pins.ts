import { eq } from 'drizzle-orm';
import { pointPin } from './schema/index.ts';

/** The pins that count, and what each says. */
export const isCountingPin = eq(pointPin.superseded, false);
export const pinColumns = { frame: pointPin.frame, point: pointPin.point, said: pointPin.said, x: pointPin.x, y: pointPin.y };
