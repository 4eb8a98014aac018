/// <reference lib="webworker" />
import { drawSlice, joined, type Draws } from '@pilgrim/core/solve/risk/draw';
import { judgeRisk, type Risk } from '@pilgrim/core/solve/risk/judge';
import type { RiskModel } from '@pilgrim/core/solve/risk/risk-model';

export type RiskQuestion =
  | {
      readonly kind: 'slice';
      readonly model: RiskModel;
      readonly seed: number;
      readonly from: number;
      readonly to: number;
    }
  | { readonly kind: 'judge'; readonly model: RiskModel; readonly slices: readonly Draws[] };
export type RiskAnswer =
  { readonly kind: 'slice'; readonly draws: Draws } | { readonly kind: 'judged'; readonly risk: Risk | undefined };

onmessage = ({ data }: MessageEvent<RiskQuestion>) => {
  if (data.kind === 'slice') {
    const { model, seed, from, to } = data;
    postMessage({ kind: 'slice', draws: drawSlice(model, seed, from, to) } satisfies RiskAnswer);
    return;
  }
  const draws = joined(data.slices);
  postMessage({ kind: 'judged', risk: draws && judgeRisk(data.model, draws) } satisfies RiskAnswer);
};
