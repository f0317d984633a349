import { verdicts, type Verdict } from '../review/index.ts';
import type { Ms } from '../units.ts';

/** Units in which a part of a picture can be told. */
const regionUnits = ['pixel', 'percent'] as const;
/** A part of the picture, from its upper left corner. */
export interface AnnotatedRegion {
  unit: (typeof regionUnits)[number];
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A verdict as an annotation tells it: of a piece of a film, on one checkpoint of what is thrown there. */
export interface AnnotatedVerdict {
  id: string;
  filmId: string;
  from: Ms;
  to: Ms;
  /** Where in the picture it is seen; null where nobody knows. */
  region: AnnotatedRegion | null;
  technique: string;
  checkpointId: string;
  verdict: Verdict;
  note: string | null;
  saidBy: string;
  /** ISO 8601. */
  saidAt: string;
}

const [annotationContext, mediaFragments] = ['http://www.w3.org/ns/anno.jsonld', 'http://www.w3.org/TR/media-frags/'];
const urn = (id: string): string => `urn:uuid:${id}`;
const fromUrn = (text: unknown): string | undefined =>
  typeof text === 'string' ? /^urn:uuid:([0-9a-f-]{36})$/.exec(text)?.[1] : undefined;
const seconds = (time: Ms): string => String(Math.round(time) / 1000);
const inFragment = ({ unit, x, y, width, height }: AnnotatedRegion): string => `&xywh=${unit}:${[x, y, width, height].join(',')}`;
const number = String.raw`(\d+(?:\.\d+)?)`;
/** A piece of a film and, where it is told, a part of the picture: in either order, as media fragments may be. */
const [pieceTold, partTold] = [
  new RegExp(`^t=(?:npt:)?${number},${number}$`),
  new RegExp(`^xywh=(?:(${regionUnits.join('|')}):)?${number},${number},${number},${number}$`),
];
function regionIn(fragment: string | undefined): AnnotatedRegion | null {
  const told = partTold.exec(fragment ?? '');
  if (!told) return null;
  const [x, y, width, height] = told.slice(2).map(Number) as [number, number, number, number];
  return { unit: regionUnits.find((unit) => unit === told[1]) ?? 'pixel', x, y, width, height };
}
const tag = (purpose: string, value: string) => ({ type: 'TextualBody', purpose, value, format: 'text/plain' });

/**
 * Verdicts as a page of web annotations (W3C Recommendation 2017) in JSON-LD, each with the piece of its film, and where the
 * body is in its picture at contact, as a media fragment (Media Fragments URI 1.0, normal play time and pixels).
 */
export function annotationPage(all: readonly AnnotatedVerdict[], id: string) {
  return {
    '@context': annotationContext,
    id: urn(id),
    type: 'AnnotationPage',
    items: all.map((one) => ({
      id: urn(one.id),
      type: 'Annotation',
      motivation: 'assessing',
      created: one.saidAt,
      creator: { type: 'Person', name: one.saidBy },
      body: [
        tag('classifying', one.technique),
        tag('identifying', one.checkpointId),
        tag('assessing', one.verdict),
        ...(one.note ? [tag('commenting', one.note)] : []),
      ],
      target: {
        source: urn(one.filmId),
        selector: {
          type: 'FragmentSelector',
          conformsTo: mediaFragments,
          value: `t=npt:${seconds(one.from)},${seconds(one.to)}${one.region ? inFragment(one.region) : ''}`,
        },
      },
    })),
  };
}

/** What was read, and what could not be, with its place among the annotations. */
export interface ReadAnnotations {
  verdicts: AnnotatedVerdict[];
  problems: { place: number; says: string }[];
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function readOne(item: unknown): AnnotatedVerdict | string {
  if (!isRecord(item)) return 'This is no annotation.';
  const id = fromUrn(item.id);
  const target = isRecord(item.target) ? item.target : {};
  const filmId = fromUrn(target.source);
  if (!id || !filmId) return 'The annotation, or its film, has no id that is known here.';
  const selector = isRecord(target.selector) ? target.selector : {};
  const fragments = typeof selector.value === 'string' ? selector.value.split('&') : [];
  const piece = pieceTold.exec(fragments.find((one) => one.startsWith('t=')) ?? '');
  if (!piece) return 'It does not tell which piece of the film it is about.';
  const bodies = (Array.isArray(item.body) ? item.body : [item.body]).filter(isRecord);
  const told = (purpose: string): string | undefined => {
    const value = bodies.find((body) => body.purpose === purpose)?.value;
    return typeof value === 'string' ? value : undefined;
  };
  const [technique, checkpointId] = [told('classifying'), told('identifying')];
  const verdict = verdicts.find((one) => one === told('assessing'));
  if (!technique || !checkpointId || !verdict) return 'It does not tell technique, checkpoint and verdict.';
  const creator = isRecord(item.creator) && typeof item.creator.name === 'string' ? item.creator.name : '';
  return {
    id,
    filmId,
    from: Math.round(Number(piece[1]) * 1000),
    to: Math.round(Number(piece[2]) * 1000),
    region: regionIn(fragments.find((one) => one.startsWith('xywh='))),
    technique,
    checkpointId,
    verdict,
    note: told('commenting') ?? null,
    saidBy: creator,
    saidAt: typeof item.created === 'string' ? item.created : '',
  };
}

/** Reads such a page, or a single annotation. What else is in it is left alone. */
export function readAnnotations(document: unknown): ReadAnnotations {
  const items = isRecord(document) && Array.isArray(document.items) ? (document.items as unknown[]) : [document];
  const read: ReadAnnotations = { verdicts: [], problems: [] };
  for (const [place, item] of items.entries()) {
    const one = readOne(item);
    if (typeof one === 'string') read.problems.push({ place, says: one });
    else read.verdicts.push(one);
  }
  return read;
}
