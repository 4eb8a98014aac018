/** Every view of a job: nothing that axe finds in light and dark at both sizes, nothing wider than the screen, down to 375 px. */
import { stageNames } from '@pilgrim/core';
import { expect, test } from '@playwright/test';
import { accessible, demoJob, legibleInTheDark, sideways, visit } from './app.ts';

const views = [...stageNames, 'sheet'];

for (const { width, height, dark } of [
  { width: 1280, height: 800, dark: true },
  // The colours are the same.
  { width: 768, height: 1024, dark: false },
])
  test(`every view of a job passes axe${dark ? ', in light and dark' : ''}, ${width}`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    const job = await demoJob(page, 'P-214');
    for (const view of views)
      await test.step(view, async () => {
        await visit(page, `${job}/${view}`);
        await accessible(page);
        if (dark) await legibleInTheDark(page);
      });
  });

test('no view is wider than a phone, nor than a screen magnified to 200 %', async ({ page }) => {
  const job = await demoJob(page, 'P-214');
  // A window of 1280 × 800 magnified twice has the room of 640 × 400.
  for (const [width, height] of [
    [375, 700],
    [640, 400],
    [768, 1024],
  ] as const) {
    await page.setViewportSize({ width, height });
    for (const view of views) {
      await visit(page, `${job}/${view}`);
      expect(await sideways(page), `${view} at ${width}`).toBeLessThanOrEqual(0);
    }
  }
});
