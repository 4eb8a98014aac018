export const fieldId = (path: string): string => `field-${path.replaceAll('.', '-')}`;

/** Focuses the field with an id, or the button that adds the row it would stand in; does nothing where neither is shown. */
export function reach(id: string): void {
  const entry = document.getElementById(id) ?? document.getElementById(id.replace(/-\d+-\w+$/, ''));
  entry?.closest('details')?.setAttribute('open', '');
  entry?.focus();
}
