import type { Job } from '../../job/job.ts';
import type { StageName } from '../../ground/stage-names.ts';

/** What each way in has no use for. The rest is asked; what was typed before is kept either way. */
const notAsked: Readonly<Record<Job['situation']['kind'], readonly StageName[]>> = {
  replace: [],
  new: ['nameplate'],
  drive: [],
  starter: ['profile', 'money'],
  energy: ['starting', 'protection'],
};

/** Whether a stage is asked for in this situation. */
export const isAsked = (job: Pick<Job, 'situation'>, stage: StageName): boolean =>
  !notAsked[job.situation.kind].includes(stage);
