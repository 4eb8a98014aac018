<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import type { ViewProps } from '$lib/stages/views';
  import RowsEditor from '$lib/components/RowsEditor.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const PATH = 'profile.curve';
  const MOST = 40;
  const count = $derived(store.rowCount(PATH));
  /** A fan is known by its pressure, a pump by its head. */
  const fan = $derived(store.get('load.machine') === 'fan' || store.get('load.way') === 'fan');
  const height = $derived(fan ? 'pressure' : 'head');
  let text = $state('');
  let outcome = $state('');

  /** One point a line: flow, head or pressure, efficiency. */
  async function take(): Promise<void> {
    const { readMachineCurve } = await import('$lib/load/read-machine-curve');
    const { rows, lost } = readMachineCurve(text, height);
    if (rows.length === 0) {
      outcome = 'No line with a flow and a head was found. Write one point a line: 140 m³/h; 34 m; 76 %.';
      return;
    }
    store.setRows(PATH, rows.slice(0, MOST));
    outcome = `${Math.min(MOST, rows.length)} points read.${rows.length > MOST ? ` At most ${MOST} are kept.` : ''}${lost > 0 ? ` ${lost} lines without two figures were left out.` : ''}`;
    text = '';
  }
</script>

<details class="rounded-lg border bg-card" open={count > 0}>
  <summary class="min-h-9 cursor-pointer px-3 py-1.5 text-sm font-semibold text-quiet"
    >Machine curve<span class="font-normal"> · {count === 0 ? 'none typed' : `${count} points`}</span></summary
  >
  <div class="space-y-2 p-3 pt-0">
    <label for="machine-curve" class="block text-sm text-quiet"
      >Paste points, one a line: flow, {height}, efficiency</label
    >
    <textarea
      id="machine-curve"
      rows={2}
      maxlength={10_000}
      class="entry"
      placeholder={fan ? '12000 cfm; 7 inH2O; 76 %' : '140 m³/h; 34 m; 76 %'}
      bind:value={text}></textarea>
    <Button
      color="alternative"
      class="min-h-9 px-3! text-ink! pointer-coarse:min-h-11"
      disabled={text.trim() === ''}
      onclick={() => void take()}>Take the points</Button
    >
    <p class="text-sm text-quiet" role="status">{outcome}</p>
    <RowsEditor
      {store}
      title="Points at full speed"
      path={PATH}
      row="point"
      cells={[
        { path: 'flow', label: 'Flow', placeholder: fan ? '12000 cfm' : '140 m³/h' },
        { path: height, label: fan ? 'Pressure' : 'Head', placeholder: fan ? '7 inH2O' : '34 m' },
        { path: 'efficiency', label: 'Efficiency', placeholder: '76 %' },
      ]}
      fresh={{ flow: '', [height]: '', efficiency: '' }}
    />
  </div>
</details>
