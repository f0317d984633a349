import type { Drill } from './drill.ts';
import { bent } from './table/bent.ts';
import { feet } from './table/feet.ts';
import { legs } from './table/legs.ts';
import { drillOfRow } from './table/row.ts';
import { straight } from './table/straight.ts';
import { withOthers } from './table/with-others.ts';

/** Every drill that ships. */
export const shippedDrills: readonly Drill[] = [...feet, ...straight, ...bent, ...legs, ...withOthers].map(drillOfRow);
