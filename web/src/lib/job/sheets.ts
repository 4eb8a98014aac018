import type { Asked, Field, Fields, Shown } from '@pilgrim/core/kernel/field';
import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
import { termIn, type Term } from '@pilgrim/core/kernel/term';
import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
import type { DeclaredValue } from '@pilgrim/core/stages/declared-value';
import type { StageDeclaration } from '@pilgrim/core/stages/define-stage';
import { stageList, stageNames, type StageName } from '@pilgrim/core/kernel/stage-list';

interface Option {
  readonly value: string;
  readonly name: Term;
}

/** One input of a sheet. The path is where it stands in the job document. */
export interface FieldDefinition {
  readonly path: string;
  readonly label: Term;
  readonly kind: 'text' | 'area' | 'select' | 'check';
  readonly placeholder?: string;
  readonly options?: readonly Option[];
  readonly wide?: boolean;
  readonly group?: string;
  /** Its fold stays shut even where it is filled in: the page shows it elsewhere too. */
  readonly shut?: boolean;
  readonly asked?: Asked;
  /** Fuller name for screen readers, where the label alone would be ambiguous. */
  readonly said?: string;
}

export interface Sheet {
  readonly lead: string;
  readonly fields: readonly FieldDefinition[];
  readonly values: Readonly<Record<string, DeclaredValue>>;
}

const LONG_OPTION = 13;
export const optionsOf = (options: readonly (readonly [string, Term])[]): Option[] =>
  options.map(([value, name]) => ({ value, name }));

type Drawn = Pick<FieldDefinition, 'kind' | 'placeholder' | 'options' | 'wide'>;

/** How a declared field is typed into; undefined for lists of rows, which have editors of their own. */
function drawn(field: Field): Drawn | undefined {
  switch (field.kind) {
    case 'quantity':
      return { kind: 'text', placeholder: field.hint ?? field.example };
    case 'words':
    case 'line': {
      const area = field.kind === 'words' && field.area === true;
      return { kind: area ? 'area' : 'text', placeholder: field.hint ?? '', wide: area };
    }
    case 'choice':
    case 'open':
      return {
        kind: 'select',
        options: optionsOf(field.options),
        wide: field.options.some(([, name]) => termIn(name, 'IEC').length > LONG_OPTION),
      };
    case 'flag':
    case 'tick':
      return { kind: 'check', wide: true };
    case 'rows':
      return undefined;
  }
}

/** The inputs that stand for declared fields, in their order; one for each way a place is asked. */
const definitionsOf = (prefix: string, fields: Fields): FieldDefinition[] =>
  Object.entries(fields).flatMap(([name, field]) => {
    const look = drawn(field);
    if (!look) return [];
    const said = ({ label, hint, asked }: Pick<Shown, 'label' | 'hint' | 'asked'>): FieldDefinition => ({
      ...look,
      path: prefix + name,
      label,
      ...(hint === undefined ? {} : { placeholder: hint }),
      ...(field.group === undefined ? {} : { group: field.group }),
      ...(asked ? { asked } : {}),
    });
    return [said(field), ...(field.also ?? []).map(said)];
  });

/** The rules of thumb a stage uses, as fields; empty means the site’s or the usual value. */
async function rulesOf(stage: StageName): Promise<FieldDefinition[]> {
  const { practiceNames, ruleOf } = await import('@pilgrim/core/job/design-rule-list');
  return practiceNames
    .filter((name) => ruleOf(name).stage === stage)
    .map((name) => ({
      path: `practice.${name}`,
      label: ruleOf(name).title,
      kind: 'text',
      placeholder: formatQuantity(ruleOf(name).value, ruleOf(name).dimension, 'IEC'),
      // The margin belongs to every load; the others are looked up once.
      ...(name === 'sizeMargin' ? {} : { group: 'Design rules, defaults shown', wide: true }),
    }));
}

const ROOM = '../../../../core/src/stages';
/** What each stage asks and works out, fetched with it, so that a first visit loads only one. */
const fieldsIn = import.meta.glob<Pick<StageDeclaration, 'lead' | 'fields'>>('../../../../core/src/stages/*/fields.ts');
const valuesIn = import.meta.glob<Pick<StageDeclaration, 'values'>>('../../../../core/src/stages/*/values.ts');

async function declaredBy(stage: StageName): Promise<Pick<StageDeclaration, 'lead' | 'fields' | 'values'>> {
  const { folder } = stageList.find(({ name }) => name === stage) ?? { folder: '' };
  const [fields, values] = [fieldsIn[`${ROOM}/${folder}/fields.ts`], valuesIn[`${ROOM}/${folder}/values.ts`]];
  if (!fields || !values) throw new Error(`No stage is called ${stage}.`);
  const [asked, found] = await Promise.all([fields(), values()]);
  return { lead: asked.lead, fields: asked.fields, values: found.values };
}

const made = new Map<StageName, Promise<Sheet>>();

/** What a stage asks, in the order a person reads it off plate, machine or drawing. */
export function sheetOf(stage: StageName): Promise<Sheet> {
  const known = made.get(stage);
  if (known) return known;
  const sheet = makeSheet(stage);
  made.set(stage, sheet);
  // What could not be fetched is asked for again.
  sheet.catch(() => made.delete(stage));
  return sheet;
}

async function makeSheet(stage: StageName): Promise<Sheet> {
  const [{ lead, fields, values }, rules] = await Promise.all([declaredBy(stage), rulesOf(stage)]);
  const own = definitionsOf(`${stage}.`, fields);
  if (stage !== 'situation') return { lead, fields: [...own, ...rules], values };
  const head = definitionsOf('', (await import('@pilgrim/core/stages/task/fields')).head);
  const put = head.map((field) => ({ ...field, group: 'Tag, title, site and standards', shut: true }));
  return { lead, fields: [...own, ...rules, ...put], values };
}

/** What places in the document are called on screen, by their path: every one, or those of some stages. */
export async function fieldNames(
  titles: Readonly<Record<StageName, string>>,
  school: StandardsSystem,
  stages = stageNames,
): Promise<ReadonlyMap<string, string>> {
  const sheets = await Promise.all(stages.map(async (stage) => ({ stage, ...(await sheetOf(stage)) })));
  const named = sheets.flatMap(({ stage, fields }) =>
    fields.map(({ path, label }) => [path, `${titles[stage]}: ${termIn(label, school)}`] as const),
  );
  // A place that is asked in several ways is called by its first.
  return new Map(named.toReversed());
}
