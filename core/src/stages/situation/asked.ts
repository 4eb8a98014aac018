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

/** What each way in asks for first, and what it gives. */
export const waysIn: Readonly<Record<Job['situation']['kind'], { readonly asks: string; readonly gives: string }>> = {
  replace: {
    asks: 'Plate of the old motor, how it failed, what it drives',
    gives: 'A motor that fits and lasts, with what it is started by',
  },
  new: {
    asks: 'Torque and speed of the machine, supply, place',
    gives: 'Size, enclosure and start, from nothing but the load',
  },
  drive: {
    asks: 'Plate, winding and cable of the motor, hours at each flow',
    gives: 'Whether the motor bears a drive, which one, and what it saves',
  },
  starter: {
    asks: 'Plate, load, inertia and strength of the supply',
    gives: 'A start the grid and the machine both stand',
  },
  energy: {
    asks: 'Hours at each flow, how flow is controlled, price of energy',
    gives: 'What each way of control costs a year, and over its life',
  },
};
