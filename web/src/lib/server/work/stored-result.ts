import { jobSchema, type Job, type Solution } from '@pilgrim/core';

/** A revision as it is stored: JSON text of the document and of its result. */
export interface KeptText {
  readonly document: string;
  readonly result: string;
}

type Since = 'catalogue' | 'chosen' | 'options' | 'comparison';
type KeptResult = Omit<Solution, Since> & Partial<Pick<Solution, Since>>;
/** What results of earlier engines lack: 0.7 named its catalogue first, 0.9 had options first. */
const lacking: Pick<Solution, Since> = {
  catalogue: '',
  chosen: 'A',
  options: {},
  comparison: { rows: [], turns: [], costs: [], worth: [], evens: [] },
};

/** A document and the result that was kept with it. */
export const readKept = ({ document, result }: KeptText): { job: Job; solution: Solution } => ({
  job: jobSchema.parse(JSON.parse(document)),
  solution: { ...lacking, ...(JSON.parse(result) as KeptResult) },
});
