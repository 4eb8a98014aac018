import type { Solution } from '@pilgrim/core';
import Papa from 'papaparse';

type Settings = NonNullable<Solution['details']['drivePictures']>['settings'];

/** The settings sheet as a file, the column of what was set included. */
export function settingsText(settings: Settings, form: 'CSV' | 'JSON'): string {
  const rows = settings.map(({ id, group, name, value, from, asSet = '' }) => ({
    id,
    group,
    name,
    value,
    from,
    asSet,
  }));
  return form === 'JSON' ? `${JSON.stringify(rows, undefined, 2)}\n` : Papa.unparse(rows, { escapeFormulae: true });
}

export async function saveSettings(settings: Settings, tag: string, form: 'CSV' | 'JSON'): Promise<void> {
  const { download, nameOf } = await import('$lib/charts/keep-picture');
  const type = form === 'CSV' ? 'text/csv' : 'application/json';
  const address = URL.createObjectURL(new Blob([settingsText(settings, form)], { type }));
  download(nameOf(`${tag} settings`, form.toLowerCase()), address);
  URL.revokeObjectURL(address);
}
