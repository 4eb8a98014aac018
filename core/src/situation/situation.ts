import { notebook, type Brief, type StageResult } from '../stage.ts';
import { PRACTICE, wording, type Value } from '../value.ts';

export interface SituationValues {
  readonly kind: Value<string>;
  readonly life?: Value;
}

const YEAR = 365 * 24 * 3600;

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
export function situation({ job, given, practice }: Brief): StageResult<SituationValues> {
  const { findings, missing, flag, need } = notebook('situation');
  const { kind, explained, failureMode } = job.situation;
  const { life } = given.situation;
  const values = {
    kind: wording(kindTexts[kind], { origin: 'given', source: 'chosen in this job' }),
    ...(life ? { life } : {}),
  };

  if (kind === 'replace') {
    if (!life)
      need('situation.life', 'How long the failed motor lived, to tell wear from a cause that will kill the next one');
    const years = life && life.value / YEAR;
    if (years !== undefined && years < practice.earlyLifeYears.value && !explained) {
      flag({
        code: 'situation.early-failure',
        severity: 'caution',
        message: `The old motor lived ${years.toFixed(1)} years. Its ${failureMode ?? 'unknown'} failure is still unexplained; the next one may die the same way.`,
        basis: PRACTICE,
        clear: 'Find the cause and mark it as found, or record what was changed.',
        field: 'situation.explained',
      });
    }
  }
  const lived = life && kind === 'replace' ? ` · lived ${(life.value / YEAR).toFixed(1)} years` : '';
  return { values, findings, missing, summary: shortTexts[kind] + lived };
}
