import { setLocale } from 'yup';

/** What a field can be, in words. */
const kinds: Readonly<Record<string, string>> = {
  array: 'a list',
  boolean: 'yes or no',
  date: 'a date',
  number: 'a number',
  object: 'a group of fields',
  string: 'text',
  tuple: 'a list of so many',
};
/**
 * What is said of something that is of another kind than its field: not what it is, as Yup would. Whoever sent it knows that, and a
 * list of lists, printed, makes megabytes of an answer.
 */
const notType = ({ path, type }: { path: string; type: string }): string =>
  `${path} is not ${kinds[type] ?? 'what belongs here'}.`;

// Before any shape is made: each takes its words when it is.
setLocale({ mixed: { notType }, tuple: { notType } });
