<script lang="ts">
  import Fileupload from 'flowbite-svelte/Fileupload.svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import RowsEditor from '$lib/components/RowsEditor.svelte';

  let { store }: { store: JobStore } = $props();

  const MOST = 400;
  const example = 'rpm; N·m\n0; 42\n300; 18\n900; 55';
  let text = $state('');
  let outcome = $state('');

  /** A pasted or uploaded table becomes rows; what a row says is read, and refused, at its own cells. */
  async function take(table: string): Promise<void> {
    const { readCurve } = await import('$lib/load/read-curve');
    const { rows, note } = readCurve(table);
    if (rows.length === 0) {
      outcome = 'No line with a speed and a torque was found. Write one point a line: 900 rpm, 40 lb·ft.';
      return;
    }
    store.setRows('load.curve', rows.slice(0, MOST));
    outcome = `${Math.min(MOST, rows.length)} points read.${rows.length > MOST ? ` At most ${MOST} are kept.` : ''} ${note}`;
    text = '';
  }

  async function open(input: HTMLInputElement): Promise<void> {
    const file = input.files?.[0];
    if (!file) return;
    if (file.size > 500_000) outcome = 'A torque–speed table is well under 500 kB. Is this the right file?';
    else await take(await file.text());
    input.value = '';
  }
</script>

<section class="space-y-3 rounded-lg border bg-card p-4" aria-label="Torque–speed table">
  <div class="grid items-end gap-3 sm:grid-cols-[minmax(0,1fr)_auto]">
    <div>
      <label for="curve-text" class="mb-1 block text-sm text-quiet"
        >Paste a table, speed and torque a line; a heading may name the units</label
      >
      <textarea id="curve-text" rows={3} maxlength={50_000} class="entry" bind:value={text} placeholder={example}
      ></textarea>
    </div>
    <Button color="alternative" class="min-h-11 text-ink!" disabled={text.trim() === ''} onclick={() => take(text)}
      >Take the points</Button
    >
  </div>
  <div>
    <label for="curve-file" class="mb-1 block text-sm text-quiet">or from a CSV file</label>
    <Fileupload
      id="curve-file"
      accept=".csv,.txt,text/csv,text/plain"
      class="min-h-11 text-sm"
      onchange={(event) => open(event.currentTarget)}
    />
  </div>
  <p class="text-sm text-quiet" role="status">{outcome}</p>
  <details open={store.rowCount('load.curve') > 0 && store.rowCount('load.curve') <= 12}>
    <summary class="min-h-11 cursor-pointer py-2.5 text-sm text-sea"
      >{store.rowCount('load.curve')} points at the driven shaft</summary
    >
    <RowsEditor
      {store}
      title="Points"
      path="load.curve"
      row="point"
      cells={[
        { path: 'speed', label: 'Speed', placeholder: '900 rpm' },
        { path: 'torque', label: 'Torque', placeholder: '40 lb·ft' },
      ]}
      fresh={{ speed: '', torque: '' }}
    />
  </details>
</section>
