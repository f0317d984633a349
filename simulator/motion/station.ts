/** Where a round is worked: what is hit there, where it hangs, and how it answers. Metres at the reference stature. */
export interface Station {
  /** Distance of the face of what is hit from the middle of the stance, and its radius. */
  face: number;
  radius: number;
  /** What a hit sounds like. */
  sound: 'bag' | 'pad' | 'speed-bag' | 'none';
  /** How it swings or gives. */
  swing: 'hangs' | 'gives' | 'rebounds' | 'none';
}

/** Distance of the heavy bag's face from the middle of the stance at rest, and its radius. */
export const bagFace = 1.04;
export const bagRadius = 0.17;

export const stations = {
  'heavy-bag': { face: bagFace, radius: bagRadius, sound: 'bag', swing: 'hangs' },
  'uppercut-bag': { face: bagFace, radius: bagRadius, sound: 'bag', swing: 'hangs' },
  'speed-bag': { face: 0.42, radius: 0.1, sound: 'speed-bag', swing: 'rebounds' },
  mitts: { face: bagFace, radius: bagRadius, sound: 'pad', swing: 'gives' },
  'thai-pads': { face: bagFace, radius: bagRadius, sound: 'pad', swing: 'gives' },
  shield: { face: bagFace, radius: bagRadius, sound: 'pad', swing: 'gives' },
  shadow: { face: bagFace, radius: bagRadius, sound: 'none', swing: 'none' },
} as const satisfies Record<string, Station>;

export type StationId = keyof typeof stations;
export const stationIds = Object.keys(stations) as StationId[];
export const isStation = (id: unknown): id is StationId => typeof id === 'string' && Object.hasOwn(stations, id);
/** Stations at which somebody holds. */
export const isHeld = (id: StationId): boolean => id === 'mitts' || id === 'thai-pads' || id === 'shield';
