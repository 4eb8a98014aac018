/// <reference lib="webworker" />
import { sampleStart, spreadOf, type Sample, type Spread, type SpreadSetting } from '@pilgrim/core/starting/spread';
import { transientRun, type TransientRun, type TransientSetting } from '@pilgrim/core/starting/transient';

export type StartQuestion =
  | { readonly kind: 'transient'; readonly setting: TransientSetting }
  | { readonly kind: 'spread'; readonly setting: SpreadSetting; readonly from: number; readonly to: number }
  | { readonly kind: 'summary'; readonly samples: readonly Sample[]; readonly horizon: number };
export type StartAnswer =
  | { readonly kind: 'transient'; readonly run: TransientRun }
  | { readonly kind: 'summary'; readonly spread: Spread }
  /** A part of the samples; `done` counts those tried so far by this worker. */
  | { readonly kind: 'samples'; readonly samples: readonly Sample[]; readonly done: number; readonly last: boolean };

const PART = 25;
const say = (answer: StartAnswer): void => postMessage(answer);

onmessage = ({ data }: MessageEvent<StartQuestion>) => {
  if (data.kind === 'transient') {
    say({ kind: 'transient', run: transientRun(data.setting) });
    return;
  }
  if (data.kind === 'summary') {
    say({ kind: 'summary', spread: spreadOf(data.samples, data.horizon) });
    return;
  }
  const { setting, from, to } = data;
  for (let at = from; at < to; at += PART) {
    const end = Math.min(to, at + PART);
    const samples: Sample[] = [];
    for (let index = at; index < end; index++) {
      const sample = sampleStart(setting, index);
      if (sample) samples.push(sample);
    }
    say({ kind: 'samples', samples, done: end - from, last: end === to });
  }
};
