import type { HandoverValues } from './values.ts';
import type { Finding } from '../../ground/finding.ts';
import type { PickResult } from '../pick/pick.ts';
import { keepsMotor } from '../load/reference-motor.ts';
import type { Brief, Missing, StageResult } from '../stage.ts';
import { wording } from '../../ground/value.ts';

export type HandoverResult = StageResult<HandoverValues>;

/** Whether the sheet can be acted on: decided, not decided, or stopped. */
export function handover(
  { job }: Brief,
  pick: PickResult,
  earlier: readonly Finding[],
  open: readonly Missing[],
): HandoverResult {
  const needed = open.filter(({ kind }) => kind === 'needed').length;
  const stops = earlier.filter((finding) => finding.severity === 'stop').length;
  const motor = keepsMotor(job) ? pick.motor && 'Motor kept' : pick.chosenMotor?.item.name;
  const feed =
    pick.chosenDrive?.item.name ?? (pick.starter?.lacking.length === 0 ? pick.values.starter?.text : undefined);
  const text =
    stops > 0
      ? `Stopped: ${stops} ${stops === 1 ? 'finding has' : 'findings have'} to be cleared first`
      : motor && feed
        ? `${motor} with ${feed}`
        : `Not decided: ${needed === 0 ? 'nothing in the catalogue was chosen' : `${needed} ${needed === 1 ? 'figure is' : 'figures are'} needed`}`;
  const state =
    stops > 0
      ? 'Stopped'
      : !motor || !feed
        ? ''
        : open.length === 0
          ? 'Sheet ready'
          : `Sheet ready · ${open.length} not known`;
  return {
    values: { decision: wording(text, { origin: 'chosen', source: 'Findings and pick of this job' }) },
    findings: [],
    missing: [],
    summary: state,
  };
}
