/// <reference lib="webworker" />
import { emptyCatalogue, solve, type Catalogue, type Job, type Solution } from '@pilgrim/core';
import { riskModelOf, type RiskModel } from '@pilgrim/core/solve/risk/risk-model';
import { readPlate, type PlateReading } from '@pilgrim/core/stages/nameplate/read/read-plate';

/** Beside the solving: a plate to read, or what a job’s options rest on, for draws. */
export type Aside = { readonly kind: 'plate'; readonly text: string } | { readonly kind: 'risk'; readonly job: Job };
export interface AsideAnswers {
  readonly plate: PlateReading;
  readonly risk: RiskModel;
}
export type Question =
  | { readonly kind: 'solve'; readonly job: Job }
  | { readonly kind: 'aside'; readonly id: number; readonly about: Aside };
export type Answer =
  | { readonly kind: 'solved'; readonly solution: Solution; readonly withoutCatalogue: boolean }
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

async function solved(job: Job): Promise<Answer> {
  const known = await currentCatalogue();
  try {
    return { kind: 'solved', solution: solve(job, known ?? emptyCatalogue), withoutCatalogue: known === undefined };
  } catch (error) {
    // A catalogue that cannot be worked with is not kept: the next keystroke asks for it again.
    catalogue = undefined;
    const what = error instanceof Error ? error.message : String(error);
    return {
      kind: 'failed',
      message: `This entry could not be worked out (${what.slice(0, 120)}). It is kept; change it, and it is worked out again.`,
    };
  }
}

async function aside(about: Aside): Promise<Omit<Extract<Answer, { kind: 'aside' }>, 'kind' | 'id'>> {
  try {
    if (about.kind === 'plate') return { answer: readPlate(about.text) };
    return { answer: riskModelOf(about.job, (await currentCatalogue()) ?? emptyCatalogue) };
  } catch (error) {
    return { error: error instanceof Error ? error.message : String(error) };
  }
}

onmessage = async ({ data }: MessageEvent<Question>) => {
  const answer: Answer =
    data.kind === 'aside' ? { kind: 'aside', id: data.id, ...(await aside(data.about)) } : await solved(data.job);
  postMessage(answer);
};
