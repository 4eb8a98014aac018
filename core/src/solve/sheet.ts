import type { Finding } from '../kernel/finding.ts';
import type { Shown, AnyShownValue } from '../present/present.ts';
import { formatNumber } from '../kernel/quantity/format.ts';
import { withSymbol } from '../kernel/term.ts';
import type { Job } from '../job/job.ts';
import { letters } from '../job/document-paths.ts';
import type { Solution } from './solution.ts';
import type { Scheme } from '../stages/protection/diagram/scheme.ts';
import type { Setting } from '../stages/drive/settings.ts';
import { sheetSections } from '../stages/declared-value.ts';
import { publishedValues } from './published.ts';

export interface SheetRow {
  readonly label: string;
  readonly text: string;
  readonly other: string;
  /** Rests on an assumption. */
  readonly assumed: boolean;
}

export interface SheetSection {
  readonly title: string;
  readonly rows: readonly SheetRow[];
}

export interface ComparedOptions {
  /** Letter and name of each. */
  readonly heads: readonly string[];
  readonly rows: readonly {
    readonly label: string;
    /** One for each head; an en dash where it is not known. */
    readonly texts: readonly string[];
    /** Which of them are the best by this measure. */
    readonly best: readonly boolean[];
  }[];
  /** Which is best by what, and what would turn it. */
  readonly verdict: readonly string[];
}

/** The selection sheet as data; screen, PDF and JSON show it and add nothing. */
export interface SelectionSheet {
  readonly title: string;
  readonly site: string;
  readonly decision: string;
  readonly ready: boolean;
  readonly sections: readonly SheetSection[];
  /** The options beside each other; empty heads where there is one only. */
  readonly compared: ComparedOptions;
  /** What is set in the drive, in the order its keypad asks; on a page of its own. Empty without a drive. */
  readonly settings: readonly Shown<Setting>[];
  /** What its circuits are drawn from; undefined where nothing is to be built: a stop, or nothing known. */
  readonly scheme: Shown<Scheme> | undefined;
  /** Why this motor, drive or starter, and what came next. */
  readonly reasons: readonly string[];
  readonly findings: readonly Shown<Finding>[];
  /** What is missing: needed for a decision, and what would only sharpen it. */
  readonly needed: readonly string[];
  readonly sharpens: readonly string[];
  /** What solved it and with which catalogue. */
  readonly engine: string;
  readonly catalogue: string;
  readonly preparedBy: string;
  readonly note: string;
}

/** What stands in a chapter: its values in the order of the stages, and what was picked before all others. */
function rowsOf(section: string, { values }: Solution, { currency, school }: Job): SheetRow[] {
  const rows = [...publishedValues].flatMap(([id, declared]) => {
    const value = values[id];
    return declared.sheet === section && value ? [{ id, row: row(withSymbol(declared, school), value, currency) }] : [];
  });
  const picked = (id: string): number => (section === 'Selection' && id.startsWith('pick.') ? 0 : 1);
  return rows.toSorted((a, b) => picked(a.id) - picked(b.id)).map((each) => each.row);
}

const row = (label: string, value: AnyShownValue, currency: string): SheetRow => ({
  label,
  text: value.unit === 'currency' ? `${value.text} ${currency}` : value.text,
  other: value.other ?? '',
  assumed: value.evidence === 'assumed',
});

/** The bill; results of before it was made have none. */
function billRows({ details }: { readonly details: Partial<Solution['details']> }, currency: string): SheetRow[] {
  return (details.bill ?? []).map(({ part, count, price, note }) => ({
    label: count === 1 ? part : `${count} × ${part}`,
    text: `${formatNumber(count * price, 4)} ${currency}`,
    other: note ?? '',
    assumed: false,
  }));
}

/** What is set in a drive; results of before drives were looked at whole have none. */
export const settingsOf = ({
  details,
}: {
  readonly details: Partial<Solution['details']>;
}): readonly Shown<Setting>[] => details.drivePictures?.settings ?? [];

function reasonsOf({ details, values, chosen }: Solution, why: string): string[] {
  const reasons = why === '' ? [] : [`Why ${chosen} and not the one that costs least: ${why}`];
  const { chosenMotor, motors, chosenDrive } = details;
  if (chosenMotor) reasons.push(`${chosenMotor.item.name}: ${chosenMotor.reasons.join(', ')}.`);
  const next = motors?.fits.find((each) => each.item.id !== chosenMotor?.item.id);
  if (next) reasons.push(`Next best: ${next.item.name}: ${next.reasons.join(', ')}.`);
  if (chosenDrive)
    reasons.push(`${chosenDrive.item.name}: the least costly whose current at this duty and place covers the motor’s.`);
  const own = details.rules.filter((rule) => rule.from !== 'default');
  if (own.length > 0)
    reasons.push(
      `Design rules set for this site or job: ${own.map((rule) => `${rule.title} ${rule.text}`).join('; ')}.`,
    );
  const start = values['starting.method'];
  if (start?.working.note) reasons.push(`${start.text}: ${start.working.note}`);
  return reasons;
}

/** What differs, for a reader who was not there. */
function comparedOf({ options, comparison }: Solution, currency: string): ComparedOptions {
  const shown = letters.filter((letter) => options[letter]);
  if (shown.length < 2) return { heads: [], rows: [], verdict: [] };
  const { best, rows, turns } = comparison;
  const measure = rows.find(({ id }) => id === best?.by)?.label.toLowerCase() ?? '';
  return {
    heads: shown.map((letter) => {
      const { name = '', stopped, proposed } = options[letter] ?? {};
      return `${letter} · ${name}${stopped ? ' (stopped)' : proposed ? ' (not taken)' : ''}`;
    }),
    rows: rows
      .filter(({ differs }) => differs)
      .map((each) => ({
        label: each.id.startsWith('money.') ? `${each.label}, ${currency}` : each.label,
        texts: shown.map((letter) => each.texts[letter] ?? '–'),
        best: shown.map((letter) => each.best.includes(letter)),
      })),
    verdict: best ? [`${best.option} is best by “${measure}”.`, ...turns.map(({ text }) => text)] : [],
  };
}

export function selectionSheet(job: Job, solution: Solution): SelectionSheet {
  const { values, findings, missing } = solution;
  return {
    title: [job.tag, job.title].filter(Boolean).join(' · ') || 'Untitled job',
    site: job.site,
    decision: values['handover.decision']?.text ?? '',
    ready: solution.stages.handover.state !== 'stop' && solution.stages.handover.summary !== '',
    sections: [
      ...sheetSections.map((title) => ({ title, rows: rowsOf(title, solution, job) })),
      { title: 'Bill of materials', rows: billRows(solution, job.currency) },
    ].filter((section) => section.rows.length > 0),
    compared: comparedOf(solution, job.currency),
    settings: settingsOf(solution),
    scheme: findings.some(({ severity }) => severity === 'stop') ? undefined : solution.details.scheme,
    reasons: reasonsOf(solution, job.handover.why?.trim() ?? ''),
    findings,
    needed: missing.flatMap(({ kind, message }) => (kind === 'sharpens' ? [] : [message])),
    sharpens: missing.flatMap(({ kind, message }) => (kind === 'sharpens' ? [message] : [])),
    engine: solution.engine,
    catalogue: solution.catalogue,
    preparedBy: job.handover.preparedBy ?? '',
    note: job.handover.note ?? '',
  };
}
