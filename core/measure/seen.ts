/**
 * From where a strike was seen, as far as it matters for how well points are found: across, whether the side that strikes is the one
 * nearer to the camera; along, nothing is behind the body.
 */
export type PlaceSeen = 'near' | 'far' | 'along' | 'quarter';
/** A body that kicks moves otherwise as a whole than one that punches: it has trials of its own. */
export type Seen = PlaceSeen | `leg ${PlaceSeen}`;

/** A trial as it is kept, see `Trial`. */
export type KeptTrial = readonly [bias: number, shared: number, own: number, strikes: number, people: number];
