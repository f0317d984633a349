import { highestRung, lowestRung } from '@wax-fist/core/correction';
import { companies, impacts } from '@wax-fist/core/drills';
import { roundKinds } from '@wax-fist/core/rounds';
import { views } from '@wax-fist/core/technique';
import { ageGroups, bodyParts, grades } from '@wax-fist/core/trainee';
import { array, boolean, number, object, string, type InferType, type StringSchema } from 'yup';
import { endpoint, everybody, staff, whoAddedIt } from './endpoint.ts';
import { id, line, note, shortText, textLine, whole } from './shapes.ts';

const someOf = (one: StringSchema<string>, most: number) => array(one.required()).max(most).default([]);
const ids = (most: number) => someOf(string().max(80).required(), most);

/** How much of a drill is done; times in seconds. */
export const doseShape = object({
  each: whole('Times each', 1, 200).nullable().default(null),
  rounds: whole('Rounds', 1, 12).required(),
  work: whole('Work', 10, 600).required(),
  rest: whole('Rest', 0, 300).required(),
});

/** A drill of the club’s own. What it trains, throws and calls is checked against the checklists when it is saved. */
export const ownDrillShape = object({
  id: id(),
  name: shortText('Name').required('A drill needs a name.'),
  how: note().required('How is it done?'),
  trains: ids(12).min(1, 'What does it train?'),
  techniques: ids(20),
  rung: number().integer().min(lowestRung).max(highestRung).required(),
  on: array(string().oneOf(roundKinds).required()).min(1, 'What is it done on?').max(roundKinds.length).required(),
  needs: someOf(textLine('Needs').required(), 10),
  company: string().oneOf(companies).required(),
  recipe: line('Calls', 300).nullable().default(null),
  dose: doseShape.required(),
  cue: line('Cue', 80).required('A drill needs a cue.'),
  film: object({ view: string().oneOf(views).required(), what: textLine('What the film shows').default('') })
    .nullable()
    .default(null),
  easier: string().max(80).nullable().default(null),
  harder: string().max(80).nullable().default(null),
  caution: textLine('Caution').default(''),
  loads: array(string().oneOf(bodyParts).required()).max(bodyParts.length).default([]),
  impact: string().oneOf(impacts).required(),
  contact: boolean().default(false),
  ages: array(string().oneOf(ageGroups).required()).min(1, 'For whom is it?').max(ageGroups.length).required(),
  grade: string().oneOf(grades).required(),
});
export type OwnDrill = InferType<typeof ownDrillShape>;

/** Drills of the club’s own; those that ship are in the core. */
export const drillEndpoints = {
  /** By their names. */
  listDrills: endpoint('GET', '/api/drills', everybody, { reply: array(ownDrillShape.required()).required() }),
  saveDrill: endpoint('PUT', '/api/drills/:drillId', staff, { body: ownDrillShape, reply: ownDrillShape }),
  /** Plans that have it keep its words. */
  removeDrill: endpoint('DELETE', '/api/drills/:drillId', whoAddedIt),
};
