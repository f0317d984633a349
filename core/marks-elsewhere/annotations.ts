import { readAnnotations } from '../formats/index.ts';
import type { ReadElsewhere } from './said-elsewhere.ts';

/** What web annotations in JSON-LD say. Their pieces of the film run from launch to home. */
export function saidInAnnotations(text: string): ReadElsewhere {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch {
    return { said: [], problems: [{ place: 1, says: 'This is no JSON.' }] };
  }
  const { verdicts, problems } = readAnnotations(document);
  return {
    said: verdicts.map(({ from, to, technique, checkpointId, verdict, note }, at) => ({
      ...{ place: at + 1, technique, launch: from, home: to, contact: undefined },
      ...{ checkpoint: checkpointId, verdict, note: note ?? undefined },
    })),
    problems: problems.map(({ place, says }) => ({ place: place + 1, says })),
  };
}
