/// <reference lib="webworker" />
import { emptyCatalogue, solve, type Catalogue, type Job, type Solution } from '@pilgrim/core';
import { readPlate, type PlateReading } from '@pilgrim/core/nameplate/read/read-plate';

export type Question =
  { readonly kind: 'solve'; readonly job: Job } | { readonly kind: 'plate'; readonly text: string };
export type Answer =
  { readonly kind: 'solved'; readonly solution: Solution } | { readonly kind: 'plate'; readonly reading: PlateReading };

let catalogue: Promise<Catalogue> | undefined;

/** Fetched once; while the server is away the job is solved without a catalogue and asked for again next time. */
async function currentCatalogue(): Promise<Catalogue> {
  catalogue ??= fetch('/api/catalogue').then((response) => {
    if (!response.ok) throw new Error(`catalogue: ${response.status}`);
    return response.json() as Promise<Catalogue>;
  });
  try {
    return await catalogue;
  } catch {
    catalogue = undefined;
    return emptyCatalogue;
  }
}

onmessage = async ({ data }: MessageEvent<Question>) => {
  const answer: Answer =
    data.kind === 'plate'
      ? { kind: 'plate', reading: readPlate(data.text) }
      : { kind: 'solved', solution: solve(data.job, await currentCatalogue()) };
  postMessage(answer);
};
