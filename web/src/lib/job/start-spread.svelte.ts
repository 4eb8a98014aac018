import { fetched } from '$lib/fetched.svelte';
import type { Spread, SpreadSetting } from '@pilgrim/core/stages/starting/tolerance-sampling';

/** Starts that tell a band of nine in ten well enough for a picture. */
const COUNT = 400;
/** ms that a setting must stand before its starts are run: typing and dragging go first. */
const STANDS = 400;

/** What motors of a plate would do, run in a worker and anew whenever the setting has changed and stands; called where a component is made. */
export function startSpread(setting: () => SpreadSetting | undefined): { readonly spread: Spread | undefined } {
  // As text: every keystroke makes the setting anew, most leave it as it was.
  const asked = $derived(JSON.stringify(setting() ?? null));
  let found = $state.raw<{ readonly of: string; readonly spread: Spread }>();
  $effect(() => {
    const of = asked;
    return run(of, (spread) => (found = { of, spread }));
  });
  return {
    /** Undefined until the starts of the present setting have been run. */
    get spread() {
      return found?.of === asked ? found.spread : undefined;
    },
  };
}

function run(asked: string, told: (spread: Spread) => void): () => void {
  let over = false;
  let cancel = (): void => undefined;
  const timer = setTimeout(() => {
    const setting = JSON.parse(asked) as SpreadSetting | null;
    if (setting === null) return;
    void fetched(
      () => import('$lib/job/start-runs'),
      () => !over,
    ).then(async (runs) => {
      if (over || !runs) return;
      const running = runs.runSpread(setting, COUNT, 1, () => undefined);
      cancel = running.cancel;
      const spread = await running.result;
      if (spread) told(spread);
    });
  }, STANDS);
  return () => {
    over = true;
    clearTimeout(timer);
    cancel();
  };
}
