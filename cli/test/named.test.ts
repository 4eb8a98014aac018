/** Nothing is published that no test names. */
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { declaredFindings, publishedValues } from '@pilgrim/core/solve/published';

const root = new URL('../../', import.meta.url);
const tests = ['core/test/', 'db/test/', 'cli/test/']
  .flatMap((folder) =>
    readdirSync(new URL(folder, root), { encoding: 'utf8', recursive: true })
      .filter((name) => /\.(ts|json)$/.test(name) && !name.endsWith('named.test.ts'))
      .map((name) => readFileSync(new URL(folder + name, root), 'utf8')),
  )
  .join('\n');

describe('every published value and finding is named by a test', () => {
  it('values', () => {
    const unnamed = [...publishedValues.keys()].filter((id) => {
      const [, name = ''] = id.split('.');
      return !new RegExp(`['.]${name}\\b`).test(tests);
    });
    expect(unnamed).toEqual([]);
  });

  it('findings', () => {
    expect([...declaredFindings.keys()].filter((code) => !tests.includes(code))).toEqual([]);
    expect(declaredFindings.size).toBeGreaterThan(120);
  });
});
