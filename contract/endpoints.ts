import { accountEndpoints } from './accounts.ts';
import { alignmentEndpoints } from './alignments.ts';
import { backupEndpoints } from './backups.ts';
import { callEndpoints } from './calls.ts';
import { cameraEndpoints } from './camera.ts';
import { consentEndpoints } from './consents.ts';
import { cardEndpoints } from './cards.ts';
import { checklistEndpoints } from './checklists.ts';
import { archiveEndpoints } from './archives.ts';
import { answerEndpoints } from './answers.ts';
import { compareEndpoints } from './compare.ts';
import { correctionEndpoints } from './corrections.ts';
import { exportEndpoints } from './exports.ts';
import { footageEndpoints } from './footage.ts';
import { healthEndpoints } from './health.ts';
import { journalEndpoints } from './journal.ts';
import { filmPartEndpoints } from './film-parts.ts';
import { foundNameEndpoints } from './found-names.ts';
import { habitEndpoints } from './habits.ts';
import { measureEndpoints } from './measures.ts';
import { pointCheckEndpoints } from './point-checks.ts';
import { roundEndpoints } from './rounds.ts';
import { schoolEndpoints } from './schools.ts';
import { stillEndpoints } from './stills.ts';
import { montageEndpoints } from './montages.ts';
import { noteEndpoints } from './notes.ts';
import { ownEndpoints } from './own.ts';
import { drillEndpoints } from './drills.ts';
import { limitEndpoints } from './limits.ts';
import { planEndpoints } from './plans.ts';
import { peopleEndpoints } from './people.ts';
import { secondFactorEndpoints } from './second-factor.ts';
import { removalEndpoints } from './removals.ts';
import { reportEndpoints } from './reports.ts';
import { reviewEndpoints } from './review.ts';
import { reviewingEndpoints } from './reviewing.ts';
import { syllabusEndpoints } from './syllabus.ts';
import { sessionEndpoints } from './sessions.ts';
import { todayEndpoints } from './today.ts';
import { traineeEndpoints } from './trainees.ts';

/** Everything that can be asked of the server; the tests walk this table with every role. */
export const endpoints = {
  ...accountEndpoints,
  ...peopleEndpoints,
  ...secondFactorEndpoints,
  ...traineeEndpoints,
  ...sessionEndpoints,
  ...footageEndpoints,
  ...roundEndpoints,
  ...alignmentEndpoints,
  ...reviewEndpoints,
  ...reviewingEndpoints,
  ...correctionEndpoints,
  ...compareEndpoints,
  ...exportEndpoints,
  ...reportEndpoints,
  ...removalEndpoints,
  ...cardEndpoints,
  ...archiveEndpoints,
  ...backupEndpoints,
  ...montageEndpoints,
  ...noteEndpoints,
  ...ownEndpoints,
  ...drillEndpoints,
  ...limitEndpoints,
  ...planEndpoints,
  ...consentEndpoints,
  ...cameraEndpoints,
  ...syllabusEndpoints,
  ...answerEndpoints,
  ...journalEndpoints,
  ...measureEndpoints,
  ...filmPartEndpoints,
  ...foundNameEndpoints,
  ...habitEndpoints,
  ...pointCheckEndpoints,
  ...todayEndpoints,
  ...checklistEndpoints,
  ...schoolEndpoints,
  ...callEndpoints,
  ...stillEndpoints,
  ...healthEndpoints,
};
