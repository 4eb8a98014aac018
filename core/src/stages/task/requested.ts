import type { Job } from '../../job/job.ts';
import type { StageName } from '../../kernel/stage-list.ts';

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

/** What each way in asks for first, and what it gives. */
export const waysIn: Readonly<Record<Job['situation']['kind'], { readonly asks: string; readonly gives: string }>> = {
  replace: { asks: 'Plate, how it failed, what it drives', gives: 'A motor that fits and lasts, and its start' },
  new: { asks: 'Torque and speed, supply, place', gives: 'Size, enclosure and start from the load alone' },
  drive: { asks: 'Plate, winding, cable, hours at each flow', gives: 'Whether it bears a drive, which, what it saves' },
  starter: { asks: 'Plate, load, inertia, supply', gives: 'A start that grid and machine both stand' },
  energy: { asks: 'Hours at each flow, control, price', gives: 'What each way of control costs over its life' },
};
