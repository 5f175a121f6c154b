import type { Docket, DocketSymptom } from './docket.ts';
import type { Symptom } from './words.ts';

/** The complaint's word, whether it stands plain or with what became of it. */
export const symptomOf = (said: DocketSymptom): Symptom => (typeof said === 'string' ? said : said.is);

/** Whether the complaint is still there: one that something cured is no complaint now. */
export const isThere = (said: DocketSymptom): boolean => typeof said === 'string' || said.cured !== 'yes';

/** Complaints that are there now, each once. */
export const complaintsNow = (docket: Pick<Docket, 'symptoms'>): Symptom[] => [
  ...new Set((docket.symptoms ?? []).filter(isThere).map(symptomOf)),
];
