import type { Role } from '@wax-fist/contract/endpoint';
import { edda } from './people/edda.ts';
import { idris } from './people/idris.ts';
import { juno } from './people/juno.ts';
import { lio } from './people/lio.ts';
import { maren } from './people/maren.ts';
import { noor } from './people/noor.ts';
import { oona } from './people/oona.ts';
import { pavel } from './people/pavel.ts';
import { sunniva } from './people/sunniva.ts';
import { tove } from './people/tove.ts';
import type { DemoTrainee } from './person.ts';

/** The coaches of an invented community club in a converted boathouse, ten weeks before an inter-club skills day. */
export const demoCoaches: readonly { name: string; email: string; role: Role }[] = [
  { name: 'Ragna Ostvik', email: 'ragna@boathouse.example', role: 'head-coach' },
  { name: 'Bram Tollund', email: 'bram@boathouse.example', role: 'coach' },
];

/** Others who sign in: one who helps, and those who see what was released to them. */
export const demoSignIns: readonly { name: string; email: string; role: Role; trainees: readonly string[] }[] = [
  { name: 'Ilse Kvamme', email: 'ilse@boathouse.example', role: 'assistant', trainees: [] },
  { name: maren.name, email: 'maren@boathouse.example', role: 'trainee', trainees: [maren.name] },
  { name: 'Aud Vandermeer', email: 'aud@boathouse.example', role: 'guardian', trainees: [lio.name] },
];

/** What the skills day asks to be known by heart. */
export const demoSets: readonly { name: string; recipe: string }[] = [
  { name: 'Skills day, first set', recipe: 'jab, cross, lead hook, cross' },
  { name: 'Skills day, second set', recipe: 'jab, body straight, lead hook, weave, cross, rear round kick' },
];

/** Who is on which course of the syllabus: since how many days, and in how many days their test is. */
export const demoPlaces: Readonly<Record<string, { course: 1 | 2 | 3; begunAgo: number; testIn: number | null }>> = {
  [maren.name]: { course: 2, begunAgo: 31, testIn: 39 },
  [tove.name]: { course: 1, begunAgo: 24, testIn: null },
  [idris.name]: { course: 1, begunAgo: 45, testIn: 11 },
};

export const demoTrainees: readonly DemoTrainee[] = [maren, tove, idris, juno, pavel, edda, noor, lio, oona, sunniva];
