import { stageTitles } from '@pilgrim/core/kernel/stage-list';
import { fieldAt } from '@pilgrim/core/job/document-paths';

export const fieldId = (path: string): string => `field-${path.replaceAll('.', '-')}`;

/** Frames that a field which stands further down may take to be drawn. */
const FRAMES = 60;

/** Focuses the field with an id, or the button that adds the row it would stand in; does nothing where neither is shown. */
export function reach(id: string, frames = FRAMES): void {
  const entry = document.getElementById(id) ?? document.getElementById(id.replace(/-\d+-\w+$/, ''));
  if (!entry && frames > 0) requestAnimationFrame(() => reach(id, frames - 1));
  entry?.closest('details')?.setAttribute('open', '');
  entry?.focus();
}

/** A rule of thumb is typed on the sheet of the stage that uses it. */
function stageOf(path: string, own: string): string {
  const stage = path.split('.')[0] ?? '';
  return stage in stageTitles ? stage : stage.endsWith('ractice') ? own : 'situation';
}

/** Where in a job a field is typed: those of an option stand on the sheets of the one that is worked on. */
export function addressIn(base: string, field: string, ownStage: string): string {
  const { path } = fieldAt(field);
  return `${base}/${stageOf(path, ownStage)}#${fieldId(path)}`;
}
