import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { chartColours, settled } from '../../src/lib/charts/colours';

const css = readFileSync(new URL('../../src/app.css', import.meta.url), 'utf8');
const paper = /:root \{[^}]*\}/.exec(css)?.[0] ?? '';
const { font, ...colours } = chartColours;

test.each(Object.entries(colours))(
  'charts have the page’s own %s, and a dark screen shows it as its own',
  (name, colour) => {
    expect(paper).toContain(`--${name}: ${colour};`);
    for (const part of ['fill', 'stroke']) {
      expect(css).toMatch(
        new RegExp(
          `\\.dark \\[data-drawn\\] svg \\{[^@]*\\[${part}='${colour}'\\] \\{\\s+${part}: var\\(--${name}\\);`,
        ),
      );
    }
  },
);

test('charts have the letters of the page, and keep their colours under a pointer', () => {
  expect(css).toContain(`--font-sans: ${font};`);
  const option = { grid: { left: 5 }, series: [{ type: 'line', data: [1] }, { type: 'bar' }] };
  expect(settled(option)).toEqual({
    grid: { left: 5 },
    series: [
      { type: 'line', data: [1], emphasis: { disabled: true } },
      { type: 'bar', emphasis: { disabled: true } },
    ],
  });
  expect(settled({})).toEqual({ series: [] });
});
