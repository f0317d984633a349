import type { Decibels, Ms, Ratio } from '../units.ts';

/** How a hit sounded. */
export interface HitSound {
  /** Mean level of the 60 ms after the contact, relative to the median hit of the film. */
  level: Decibels;
  /** From the onset to the peak. */
  attack: Ms;
  /** From the peak until the sound has fallen by 20 dB. */
  decay: Ms;
  /** Share of the energy above 2 kHz. */
  brightness: Ratio;
  /**
   * From a thunk (0) to a pop (1): brightness and short decay against loudness, ranked within the film. Not to be compared with
   * another film, bag or camera place.
   */
  snap: Ratio;
}

/** What a hit may be known from. */
export const strikeSources = ['sound', 'sight'] as const;
export type StrikeSource = (typeof strikeSources)[number];

/** A moment that may be a hit, found by ear or by eye. */
export interface Candidate {
  time: Ms;
  /** How far it stands out, 0 to 1: what the sensitivity is held against. */
  prominence: Ratio;
  /** Absent for what was found by eye. */
  sound?: HitSound;
  /** What it is known from, where ear and eye were asked as one. */
  from?: StrikeSource[];
}

/** By what hits are found: by ear and eye as one, by ear alone, by how much of the picture moves. */
export const hitSources = ['both', 'sound', 'motion'] as const;
export type HitSource = (typeof hitSources)[number];

/** What the coach changed about the hits that were found. */
export interface HitEdits {
  source: HitSource;
  /** 0 shows only what is certain, 1 whatever could be one. */
  sensitivity: Ratio;
  /** What is heard more quietly than this, against the usual hit of the film, comes from another bag. */
  leastLevel: Decibels;
  added: readonly Ms[];
  /** Times of candidates that are none. */
  removed: readonly Ms[];
}

/** How much is believed when nobody has said otherwise, 0 to 1. */
export const usualSensitivity = 0.5;
/** Every hit counts, however quiet. */
export const anyLevel: Decibels = -40;
/** As the hits were found. */
export const noHitEdits: HitEdits = {
  source: 'sound',
  sensitivity: usualSensitivity,
  leastLevel: anyLevel,
  added: [],
  removed: [],
};

/** A hit that counts. */
export interface Hit {
  time: Ms;
  by: HitSource | 'coach';
  sound?: HitSound;
  /** How sure it is, and what it is known from, where ear and eye were asked as one. */
  sure?: Ratio;
  from?: StrikeSource[];
}

/** Candidates as prominent as this are shown at `sensitivity`. */
export const leastProminence = (sensitivity: Ratio): Ratio => 1 - sensitivity;

/** Whether a candidate is likely enough, and no other bag's. A slider at its end lets everything through. */
export const isBelieved = (
  { prominence, sound }: Candidate,
  { sensitivity, leastLevel }: Pick<HitEdits, 'sensitivity' | 'leastLevel'>,
): boolean => prominence >= leastProminence(sensitivity) && (leastLevel <= anyLevel || !sound || sound.level >= leastLevel);

/** The hits that count, in order of time: what was found and is not taken out, and what was added by hand. */
export function hitsOf(found: Partial<Record<HitSource, readonly Candidate[]>>, edits: HitEdits): Hit[] {
  const removed = new Set(edits.removed);
  const kept = (found[edits.source] ?? []).filter((one) => isBelieved(one, edits) && !removed.has(one.time));
  const hits: Hit[] = kept.map(({ time, sound, from, prominence }) => ({
    time,
    by: edits.source,
    sound,
    ...(from && { from, sure: prominence }),
  }));
  for (const time of edits.added) hits.push({ time, by: 'coach', sound: soundNear(found.sound, time) });
  return hits.sort((a, b) => a.time - b.time);
}

/** What was heard where a coach put a hit by hand: a quiet one is often below what is shown. */
const soundNear = (candidates: readonly Candidate[] = [], time: Ms): HitSound | undefined =>
  candidates.find((one) => Math.abs(one.time - time) <= 30)?.sound;

/** Adds a hit, or brings one back that was taken out there. */
export function withHit(edits: HitEdits, time: Ms): HitEdits {
  if (edits.removed.includes(time)) return { ...edits, removed: edits.removed.filter((one) => one !== time) };
  return { ...edits, added: [...edits.added.filter((one) => one !== time), time] };
}
/** Edits that take a hit out again, be it one that was found or one that was added. */
export function withoutHit(edits: HitEdits, { time, by }: Hit): HitEdits {
  if (by === 'coach') return { ...edits, added: edits.added.filter((one) => one !== time) };
  return { ...edits, removed: [...edits.removed, time] };
}
/** Edits that bring a hit to another moment. */
export const withHitMoved = (edits: HitEdits, hit: Hit, to: Ms): HitEdits => withHit(withoutHit(edits, hit), to);

/** The hit nearest to a moment, not further than `reach`. */
export function hitNear<T extends { time: Ms }>(hits: readonly T[], time: Ms, reach: Ms): T | undefined {
  let nearest: T | undefined;
  for (const hit of hits) {
    const distance = Math.abs(hit.time - time);
    if (distance <= reach && (!nearest || distance < Math.abs(nearest.time - time))) nearest = hit;
  }
  return nearest;
}
