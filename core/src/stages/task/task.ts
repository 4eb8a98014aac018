import { declaration } from './declaration.ts';
import { YEAR } from '../../kernel/constants.ts';
import type { SituationValues } from './values.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { notebook, type StageContext, type StageResult } from '../stage.ts';
import { PRACTICE, textValue } from '../../kernel/value.ts';
import { inquire, type Inquiry } from './inquiry.ts';

export interface SituationResult extends StageResult<SituationValues> {
  readonly inquiry: Inquiry | undefined;
}

const kindTexts = {
  replace: 'Replace a failed motor',
  new: 'New machine',
  drive: 'Drive onto an existing motor',
  starter: 'Change the starter',
  energy: 'Energy study',
} as const;

const shortTexts = {
  replace: 'Replace',
  new: 'New machine',
  drive: 'Add a drive',
  starter: 'Change starter',
  energy: 'Energy study',
} as const;

/** What is being asked, and for a replacement whether the old motor died too young to be replaced like for like. */
export function situation(brief: StageContext, nameplate: NameplateResult): SituationResult {
  const { job, given, practice } = brief;
  const { findings, missing, report, suggest } = notebook(declaration);
  const { kind, explained, failureMode } = job.situation;
  const { life } = given.situation;
  const inquiry = kind === 'replace' ? inquire(brief, nameplate) : undefined;
  const order = inquiry?.remedy.order ?? [];
  const values = {
    kind: textValue(kindTexts[kind], { origin: 'given', source: 'chosen in this job' }),
    ...(life ? { life } : {}),
    ...(order.length > 0
      ? { remedies: textValue(order.join('; '), { origin: 'chosen', source: `causes found in this job: ${PRACTICE}` }) }
      : {}),
  };

  if (kind === 'replace') {
    if (!life) suggest('situation.life', 'Service life of the failed motor, to tell wear from an early failure');
    const found = inquiry?.suspicions.some((each) => each.verdict === 'found') ?? false;
    const years = life && life.value / YEAR;
    if (years !== undefined && years < practice.earlyLifeYears.value && !explained && !found) {
      const likely =
        inquiry?.suspicions.filter((each) => each.reading === 'speaks for it' && each.verdict === 'open') ?? [];
      const hint =
        likely.length > 0
          ? ` The readings speak for: ${likely.map((each) => each.name.toLowerCase()).join(', ')}.`
          : '';
      report(
        'situation.early-failure',
        `The failed motor lasted ${years.toFixed(1)} years, and its ${failureMode ?? 'unknown'} failure is unexplained; the replacement may fail the same way.${hint}`,
      );
    }
  }
  const lived = life && kind === 'replace' ? ` · lived ${(life.value / YEAR).toFixed(1)} years` : '';
  return { values, findings, missing, summary: shortTexts[kind] + lived, inquiry };
}
