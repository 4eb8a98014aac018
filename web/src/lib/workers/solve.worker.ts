/// <reference lib="webworker" />
import { emptyCatalogue, type AnyValue, type Catalogue, type Job, type Solution } from '@pilgrim/core';
import { solveForScreen } from '@pilgrim/core/solve/solve';
import type { StageName } from '@pilgrim/core/kernel/stage-list';
import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
import { detailsAfter, detailsAt } from '@pilgrim/core/solve/details';
import { riskModelOf, type RiskModel } from '@pilgrim/core/solve/risk/risk-model';
import { readPlate, type PlateReading } from '@pilgrim/core/stages/nameplate/read/read-plate';

/** Beside the solving: a plate to read, what a job’s options rest on, for draws, or the working of a figure of the last solution. */
export type Aside =
  | { readonly kind: 'plate'; readonly text: string }
  | { readonly kind: 'risk'; readonly job: Job }
  | { readonly kind: 'working'; readonly value: string };
export interface AsideAnswers {
  readonly plate: PlateReading;
  readonly risk: RiskModel;
  readonly working: AnyValue | undefined;
}
export type Question =
  | { readonly kind: 'solve'; readonly job: Job; readonly at: StageName; readonly units: StandardsSystem }
  | { readonly kind: 'aside'; readonly id: number; readonly about: Aside };
export type Answer =
  | { readonly kind: 'solved'; readonly solution: Solution; readonly withoutCatalogue: boolean }
  | { readonly kind: 'after'; readonly details: Partial<Solution['details']> }
  | { readonly kind: 'after'; readonly trouble: string }
  | { readonly kind: 'failed'; readonly message: string }
  | {
      readonly kind: 'aside';
      readonly id: number;
      readonly answer?: AsideAnswers[Aside['kind']];
      readonly error?: string;
    };

let catalogue: Promise<Catalogue> | undefined;

/** Fetched once; while the server is away the job is solved without a catalogue, which is told, and asked for again next time. */
async function currentCatalogue(): Promise<Catalogue | undefined> {
  catalogue ??= fetch('/api/catalogue').then((response) => {
    if (!response.ok) throw new Error(`catalogue: ${response.status}`);
    return response.json() as Promise<Catalogue>;
  });
  try {
    return await catalogue;
  } catch {
    catalogue = undefined;
    return undefined;
  }
}

/** ms in which a newer question makes the pictures of other stages needless. */
const LULL = 60;
/** Explains a figure of the solution that was given last. */
let explained: ReturnType<typeof solveForScreen>['explain'] = () => undefined;
let rest: ReturnType<typeof setTimeout> | undefined;

/** The stage that is looked at comes first, the pictures of the others when nothing newer is asked. */
async function solved({ job, at, units }: Extract<Question, { kind: 'solve' }>): Promise<Answer> {
  const known = await currentCatalogue();
  try {
    const { solution, explain } = solveForScreen(job, known ?? emptyCatalogue, units);
    explained = explain;
    rest = setTimeout(() => {
      try {
        postMessage({ kind: 'after', details: detailsAfter(at, solution.details) } satisfies Answer);
      } catch (error) {
        postMessage({ kind: 'after', trouble: notWorkedOut(error) } satisfies Answer);
      }
    }, LULL);
    const withoutCatalogue = known === undefined;
    return { kind: 'solved', solution: { ...solution, details: detailsAt(at, solution.details) }, withoutCatalogue };
  } catch (error) {
    // A catalogue that cannot be worked with is not kept: the next keystroke asks for it again.
    catalogue = undefined;
    return { kind: 'failed', message: notWorkedOut(error) };
  }
}

function notWorkedOut(error: unknown): string {
  const what = error instanceof Error ? error.message : String(error);
  return `This entry could not be worked out (${what.slice(0, 120)}). It is kept; change it, and it is worked out again.`;
}

async function aside(about: Aside): Promise<Omit<Extract<Answer, { kind: 'aside' }>, 'kind' | 'id'>> {
  try {
    if (about.kind === 'working') return { answer: explained(about.value) };
    if (about.kind === 'plate') return { answer: readPlate(about.text) };
    return { answer: riskModelOf(about.job, (await currentCatalogue()) ?? emptyCatalogue) };
  } catch (error) {
    return { error: error instanceof Error ? error.message : String(error) };
  }
}

onmessage = async ({ data }: MessageEvent<Question>) => {
  if (data.kind === 'solve') clearTimeout(rest);
  const answer: Answer =
    data.kind === 'aside' ? { kind: 'aside', id: data.id, ...(await aside(data.about)) } : await solved(data);
  postMessage(answer);
};
