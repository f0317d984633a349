import './told-briefly.ts';
import { highestRung, lowestRung } from '@wax-fist/core/correction';
import { date, lazy, number, object, string, type AnyObject, type ISchema, type ObjectSchema } from 'yup';

/** Ids are version 7 UUIDs, made where the thing is made. */
export const id = () =>
  string()
    .required()
    .matches(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/, 'This is not an id.');
/** Whether the calendar has this day: the thirty-first of February comes back as a day of March. */
function isDay(text: string): boolean {
  const noon = new Date(`${text}T12:00:00Z`);
  return !Number.isNaN(noon.getTime()) && noon.toISOString().startsWith(text);
}

/** A calendar day, local to the club. */
export const day = () =>
  string()
    .matches(/^\d{4}-\d{2}-\d{2}$/, 'This is not a date.')
    .test('exists', 'This date does not exist.', (text?: string | null) => text === undefined || text === null || isDay(text));
/** An instant in ISO 8601. */
export const instant = () =>
  string()
    .required()
    .test('instant', 'This is not a moment in time.', (text) => date().isValidSync(text));
/** Text as the database can keep it: without the one letter that PostgreSQL has no place for. */
export const text = () =>
  string()
    .transform((text: unknown) => (typeof text === 'string' ? text.trim() : text))
    .matches(/^[^\0]*$/, 'This text holds a letter that cannot be kept.');
/** A line of text, of at most so many letters. */
export const line = (what: string, most: number) => text().max(most, `${what}: at most ${most} letters.`);
/** A name or another short line, at most 120 letters. */
export const shortText = (what: string) => line(what, 120);
/** Free text, at most 2,000 letters. */
export const note = () => text().max(2000, 'A note can have at most 2,000 letters.');
/** A whole number from one to another, as it is typed. */
export const whole = (what: string, least: number, most: number) =>
  number()
    .typeError(`${what}: a number, please.`)
    .integer(`${what}: a whole number, please.`)
    .min(least, `${what}: at least ${least}.`)
    .max(most, `${what}: at most ${most}.`);
/** The greatest whole number that the database keeps. */
const greatest = 2 ** 31 - 1;
/** A whole number from 0. */
export const count = () => number().integer().min(0).max(greatest, 'This number is too great.').required();
/** A frame of a film, from 0. */
export const frame = count;

/** A share of a whole, or how likely something is. */
export const share = () => number().min(0).max(1).required();
/** A step of the ladder of conditions. */
export const rung = () => number().integer().min(lowestRung).max(highestRung);

/** One line of free text. */
export const textLine = (what: string) => line(what, 200);
/** A time within a film, in milliseconds from its first frame. */
export const milliseconds = () => number().min(0).required();
/** The version of something that is saved as a whole. */
export const version = count;

/** Any number of named values of one shape. @param missing what is said when there is none; without it, none is an empty record */
export const recordOf = <V>(value: () => ISchema<V>, missing?: string) =>
  lazy((given: unknown) => {
    const names = typeof given === 'object' && given !== null ? Object.keys(given) : [];
    const record = object(Object.fromEntries(names.map((name) => [name, value()]))) as ObjectSchema<AnyObject> as ObjectSchema<
      Record<string, V>
    >;
    return missing === undefined ? record.default({}).required() : record.default(undefined).required(missing);
  });
