import { say, type Text } from '../kernel/text.ts';
import { optionSchema, type Option } from '../job/options.ts';
import { letters, type Letter } from '../job/document-paths.ts';
import { typedOptions, type Job, type Proposal } from '../job/job.ts';
import type { Method } from '../stages/starting/starting-mode.ts';
import type { Asked, SolvedOption } from './option.ts';

interface Idea {
  readonly kind: Proposal;
  readonly method: Method;
  readonly name: string;
  readonly why: Text;
  readonly keepsFeed?: true;
}

/** The least costly start without a drive that passes every limit on the motor of this option. */
function leastCostlyStart({ results }: SolvedOption): Idea | undefined {
  const method = results.starting.bench?.onLine()?.method;
  if (!method) return undefined;
  return {
    kind: 'start',
    method,
    name: startName(method),
    why: 'The least costly start that passes every limit.',
  };
}

/** What makes a drive worth comparing; undefined where nothing does. */
function driveReason(job: Job, { results }: SolvedOption): Text | undefined {
  const { savingShare } = results.profile.values;
  if (job.starting.speedControl === 'yes') return 'The speed has to be controlled while running.';
  if (savingShare && savingShare.value > 0)
    return say`The flow varies: a drive would save ${savingShare} of the energy.`;
  if (results.profile.flowVaries) return 'The flow varies through the year.';
  if (job.load.way === 'hoist') return 'A hoist is started and lowered gently by a drive.';
  const { bench } = results.starting;
  if (bench && !bench.onLine() && bench.passes('drive')) return 'No other way to start passes every limit.';
  return undefined;
}

function drive(job: Job, first: SolvedOption): Idea | undefined {
  const why = driveReason(job, first);
  return why === undefined ? undefined : { kind: 'drive', method: 'drive', name: startName('drive'), why };
}

function presentStarter({ situation }: Job): Idea | undefined {
  const { presentStarter: present, kind } = situation;
  if (kind === 'new' || present === undefined || present === 'none') return undefined;
  return {
    kind: 'kept',
    method: present,
    name: `Present ${startName(present).toLowerCase()} kept`,
    why: 'It is there and paid for.',
    keepsFeed: true,
  };
}

export const startName = (method: Method): string =>
  ({
    direct: 'Direct start',
    'star-delta': 'Star-delta start',
    'soft starter': 'Soft starter',
    autotransformer: 'Autotransformer start',
    drive: 'Drive',
  })[method];

const keepsFeed = ({ own }: SolvedOption): boolean => own.pick.feedFrom === 'kept';

/** Whether an option of the document is that already. */
const covers =
  (idea: Idea) =>
  (option: SolvedOption): boolean =>
    idea.keepsFeed ? keepsFeed(option) : !keepsFeed(option) && option.results.starting.method === idea.method;

/** What Pilgrim would compare beside the options of the document, each at the next free letter. */
export function propose(job: Job, typed: readonly SolvedOption[]): Asked[] {
  const [first] = typed;
  if (!first) return [];
  const kept = presentStarter(job);
  const start = leastCostlyStart(first);
  // Nobody buys what is there.
  const bought = start?.method === kept?.method ? undefined : start;
  const ideas = [bought, drive(job, first), kept].filter((idea) => idea !== undefined);
  const open = ideas.filter((idea) => !job.declined.includes(idea.kind) && !typed.some(covers(idea)));
  const free = letters.filter((letter) => !typedOptions(job).includes(letter));
  return open.flatMap((idea, at) => {
    const letter = free[at];
    return letter === undefined ? [] : [asked(letter, idea)];
  });
}

function asked(letter: Letter, { kind, name, why, method, keepsFeed: kept }: Idea): Asked {
  const own: Option = optionSchema.parse({
    name,
    starting: { method },
    pick: kept ? { feedFrom: 'kept' } : {},
  });
  return { letter, own, proposed: { kind, name, why } };
}
