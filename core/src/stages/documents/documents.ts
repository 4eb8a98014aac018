import { say, textOf, type Text } from '../../kernel/text.ts';
import type { HandoverValues } from './values.ts';
import type { Finding } from '../../kernel/finding.ts';
import type { PickResult } from '../selection/selection.ts';
import type { Missing, StageResult } from '../stage.ts';
import { textValue } from '../../kernel/value.ts';

export type HandoverResult = StageResult<HandoverValues>;

const count = (number: number, one: string, more: string): string => `${number} ${number === 1 ? one : more}`;

/** Whether the sheet can be acted on: decided, not decided, or stopped. */
export function handover(pick: PickResult, earlier: readonly Finding[], open: readonly Missing[]): HandoverResult {
  const needed = open.filter(({ kind }) => kind === 'needed').length;
  const stops = earlier.filter(({ severity }) => severity === 'stop').length;
  const motor = pick.keepsMotor ? pick.motor && keptMotor(pick, earlier) : pick.chosenMotor?.item.name;
  const bought = pick.starter?.lacking.length === 0 || pick.keepsFeed;
  const feed = pick.chosenDrive?.item.name ?? (bought ? textOf(pick.values.starter) : undefined);
  const undecided =
    needed === 0 ? 'nothing in the catalogue was chosen' : `${count(needed, 'figure is', 'figures are')} needed`;
  let text: Text = `Not decided: ${undecided}`;
  let summary = '';
  if (stops > 0) {
    text = `Stopped: ${count(stops, 'finding has', 'findings have')} to be cleared first`;
    summary = 'Stopped';
  } else if (motor && feed) {
    text = say`${motor} with ${feed}`;
    summary = open.length === 0 ? 'Sheet ready' : `Sheet ready · ${open.length} not known`;
  }
  return {
    values: { decision: textValue(text, { origin: 'chosen', source: 'Findings and pick of this job' }) },
    findings: [],
    missing: [],
    summary,
  };
}

/** What stays is not called good where its winding is in doubt behind the drive that was chosen. */
function keptMotor({ chosenDrive }: PickResult, earlier: readonly Finding[]): string {
  const doubted = chosenDrive && earlier.some(({ code }) => code === 'nameplate.inverter-silent');
  return doubted ? 'Motor kept, its winding not proven for a drive,' : 'Motor kept';
}
