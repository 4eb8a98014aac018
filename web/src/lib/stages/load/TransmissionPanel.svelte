<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import { fields } from '@pilgrim/core/stages/load/fields';
  import { optionsOf } from '$lib/job/sheets';
  import Field from '$lib/components/Field.svelte';
  import Figure from '$lib/components/Figure.svelte';

  let { store }: { store: JobStore } = $props();

  const transmissionOptions = optionsOf(fields.stages.cells.kind.options);
  const shafts = $derived(store.solution.details.shafts);
  const listed = $derived(store.rowCount('load.stages'));
  // The solution follows a keystroke later than the document.
  const shown = $derived(listed === 0 ? shafts : shafts.slice(0, listed + 1));
  const numbers = [
    ['torque', 'Torque', '72 lb·ft'],
    ['speed', 'Speed', '1450 rpm'],
    ['inertia', 'Inertia', '0.4 kg·m²'],
  ] as const;

  /** What was typed for the whole transmission goes with the first stage. */
  function add(): void {
    const row = { kind: listed === 0 ? 'V-belt' : 'helical gear', ratio: '', efficiency: '' };
    if (listed > 0) {
      store.addRow('load.stages', row);
      return;
    }
    const [ratio, efficiency] = ['load.ratio', 'load.transmissionEfficiency'].map((path) =>
      String(store.get(path) ?? ''),
    );
    store.setRows('load.stages', [{ ...row, ratio: ratio ?? '', efficiency: efficiency ?? '' }]);
  }
</script>

<section class="rounded-lg border bg-card p-3" aria-label="Transmission from motor to machine">
  <h2 class="mb-2 text-sm font-semibold text-quiet">
    The train from motor to machine{listed === 0 ? '' : ': type each number where it was measured'}
  </h2>
  {#if shown.length > 0}
    <ol class="flex items-stretch overflow-x-auto pb-1">
      {#each shown as shaft, at (at)}
        {@const last = at === shown.length - 1}
        {@const name = last ? 'Driven shaft' : listed === 0 ? 'Motor shaft' : shaft.name}
        <li class="flex shrink-0" data-shaft={at}>
          <div class="w-36">
            <p class="flex items-center gap-1.5 text-sm font-semibold">
              <span class="size-4 shrink-0 rounded-full border-4 border-copper bg-card" aria-hidden="true"></span>{name}
            </p>
            {#if listed === 0}
              <dl class="mt-1 grid gap-x-2 ps-5 text-sm">
                {#each numbers.filter(([number]) => shaft[number]) as [number, label] (number)}
                  <dt class="text-xs text-quiet">{label}</dt>
                  <dd class="font-semibold">{shaft[number]?.text}</dd>
                {/each}
              </dl>
            {:else}
              <div class="cells mt-1">
                {#each numbers as [number, label, example] (number)}
                  {@const path = last ? `load.${number}` : `load.stages.${at}.${number}`}
                  {#if last && number === 'torque' && store.document.load.way !== 'torque'}
                    <p class="px-2 py-1 text-sm"><span class="asked">{label}</span>{shaft.torque?.text ?? '–'}</p>
                  {:else}
                    <Field
                      {store}
                      prefix={last ? 'train' : 'field'}
                      field={{
                        path,
                        label,
                        kind: 'text',
                        placeholder: shaft[number]?.text ?? example,
                        said: `${last ? 'Driven shaft' : shaft.name}: ${label}`,
                      }}
                    />
                  {/if}
                {/each}
              </div>
            {/if}
          </div>
          {#if !last}
            <div class="flex w-40 flex-col px-2">
              <span class="mt-2 border-t-4 border-copper" aria-hidden="true"></span>
              {#if listed === 0}
                <p class="mt-2 text-center text-sm text-quiet">
                  {shaft.onward?.ratio?.text ?? '–'} : 1<br />{shaft.onward?.efficiency.text}
                </p>
              {:else}
                <div class="cells mt-3">
                  <Field
                    {store}
                    field={{
                      path: `load.stages.${at}.kind`,
                      label: `Stage ${at + 1}`,
                      kind: 'select',
                      options: transmissionOptions,
                    }}
                  />
                  <Field
                    {store}
                    field={{
                      path: `load.stages.${at}.ratio`,
                      label: 'Ratio',
                      kind: 'text',
                      placeholder: shaft.onward?.ratio?.text ?? '3.2',
                      said: `Ratio of stage ${at + 1}`,
                    }}
                  />
                  <Field
                    {store}
                    field={{
                      path: `load.stages.${at}.efficiency`,
                      label: 'Efficiency',
                      kind: 'text',
                      placeholder: shaft.onward?.efficiency.text ?? '96 %',
                      said: `Efficiency of stage ${at + 1}`,
                    }}
                  />
                </div>
                <button
                  type="button"
                  class="mt-1 min-h-8 text-sm text-sea hover:underline pointer-coarse:min-h-11"
                  aria-label={`Remove stage ${at + 1}`}
                  onclick={() => store.removeRow('load.stages', at)}>Remove</button
                >
              {/if}
            </div>
          {/if}
        </li>
      {/each}
    </ol>
  {/if}
  <div class="flex flex-wrap items-center gap-3 pt-1">
    <Button
      color="alternative"
      class="min-h-9 px-3! text-ink! pointer-coarse:min-h-11"
      disabled={listed >= 8}
      onclick={add}>{listed === 0 ? 'List it stage by stage' : 'Add a stage'}</Button
    >
    {#if store.solution.values['load.inertia']}
      <p class="text-sm text-quiet">
        Inertia at the motor shaft <Figure
          label="Inertia referred to motor shaft"
          value={store.solution.values['load.inertia']}
          whole={() => store.whole('load.inertia')}
        />
      </p>
    {/if}
  </div>
</section>
