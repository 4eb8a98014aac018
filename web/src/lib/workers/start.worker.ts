/// <reference lib="webworker" />
import {
  horizonOf,
  sampleStart,
  spreadOf,
  type Sample,
  type Spread,
  type SpreadSetting,
} from '@pilgrim/core/stages/starting/tolerance-sampling';
import { transientRun, type TransientRun, type TransientSetting } from '@pilgrim/core/stages/starting/transient';

export type StartQuestion =
  | { readonly kind: 'transient'; readonly setting: TransientSetting }
  | { readonly kind: 'spread'; readonly setting: SpreadSetting; readonly from: number; readonly to: number }
  | { readonly kind: 'summary'; readonly setting: SpreadSetting; readonly samples: readonly Sample[] };
export type StartAnswer =
  | { readonly kind: 'transient'; readonly run: TransientRun }
  | { readonly kind: 'summary'; readonly spread: Spread }
  /** Those of the part that a motor could be built for, and how many were tried. */
  | { readonly kind: 'samples'; readonly samples: readonly Sample[]; readonly tried: number };

const say = (answer: StartAnswer): void => postMessage(answer);

onmessage = ({ data }: MessageEvent<StartQuestion>) => {
  if (data.kind === 'transient') {
    say({ kind: 'transient', run: transientRun(data.setting) });
    return;
  }
  if (data.kind === 'summary') {
    say({ kind: 'summary', spread: spreadOf(data.samples, horizonOf(data.setting)) });
    return;
  }
  const { setting, from, to } = data;
  const horizon = horizonOf(setting);
  const samples: Sample[] = [];
  for (let at = from; at < to; at++) {
    const sample = sampleStart(setting, at, horizon);
    if (sample) samples.push(sample);
  }
  say({ kind: 'samples', samples, tried: to - from });
};
