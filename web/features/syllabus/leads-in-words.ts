import type { TestLead } from '@wax-fist/core/syllabus';
import { stances, type Stance } from '@wax-fist/core/technique';

/** How somebody stands with a foot in front, who usually stands so. */
export const leadInWords = (lead: TestLead, stance: Stance): string =>
  lead === 'usual' ? stance : stances.find((one) => one !== stance)!;
