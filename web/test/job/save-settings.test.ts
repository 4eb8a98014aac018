import Papa from 'papaparse';
import { expect, it } from 'vitest';
import { settingsText } from '../../src/lib/job/save-settings';

const settings = [
  {
    id: 'ratedCurrent',
    group: 'Motor',
    name: 'Motor rated current',
    value: '35.5 A',
    from: 'nameplate',
    asSet: '35 A',
  },
  { id: 'tuned', group: 'Put on record', name: 'Self-tuning done, date', value: '', from: '=cmd()' },
] as const;

it('the settings sheet as CSV can be read back, line by line, and starts no formula', () => {
  const { data } = Papa.parse<Record<string, string>>(settingsText(settings, 'CSV'), { header: true });
  expect(data).toEqual([{ ...settings[0] }, { ...settings[1], from: "'=cmd()", asSet: '' }]);
});

it('and as JSON', () => {
  expect(JSON.parse(settingsText(settings, 'JSON'))).toEqual([settings[0], { ...settings[1], asSet: '' }]);
});
