<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import { fields } from '@pilgrim/core/stages/load/fields';
  import { optionsOf } from '$lib/job/sheets';
  import Field from './Field.svelte';
  import Figure from './Figure.svelte';

  let { store, hydrated }: { store: JobStore; hydrated: boolean } = $props();

  const transmissionOptions = optionsOf(fields.stages.cells.kind.options);
  const shafts = $derived(store.solution.details.shafts);
  const listed = $derived(store.rowCount('load.stages'));
  // The solution follows a keystroke later than the document.
  const shown = $derived(shafts.slice(0, listed + 1));
  const usual = (at: number): string | undefined => shafts[at]?.onward?.efficiency.text;
  const numbers = [
    ['torque', 'Torque', '72 lb·ft'],
    ['speed', 'Speed', '1450 rpm'],
    ['inertia', 'Inertia', '0.4 kg·m²'],
  ] as const;
</script>

<section class="rounded-lg border bg-card" aria-label="The train from motor to machine">
  <h2 class="border-b px-4 py-2 text-sm font-semibold text-quiet">
    The train from motor to machine{listed === 0 ? '' : ': type each number where it was measured'}
  </h2>
  {#if listed > 0}
    <ol class="px-4 py-3">
      {#each shown as shaft, at (at)}
        {@const last = at === listed}
        <li class="relative flow-root border-s-4 border-copper ps-6" data-shaft={at}>
          <span class="absolute top-3 -left-2.5 size-4 rounded-full border-4 border-copper bg-card" aria-hidden="true"
          ></span>
          <div class="grid items-start gap-x-3 gap-y-1 pb-3 sm:grid-cols-[8rem_1fr_1fr_1fr]">
            <p class="pt-2 font-semibold">{last ? 'Driven shaft' : shaft.name}</p>
            {#each numbers as [name, label, example] (name)}
              {@const path = last ? `load.${name}` : `load.stages.${at}.${name}`}
              {@const fixed = last && name === 'torque' && store.document.load.way !== 'torque'}
              {#if fixed}
                <div>
                  <p class="mb-1 text-sm text-quiet">{label}</p>
                  <p class="py-2.5">{shaft.torque?.text ?? '–'}</p>
                </div>
              {:else}
                <Field
                  {store}
                  {hydrated}
                  prefix={last ? 'train' : 'field'}
                  field={{
                    path,
                    label,
                    kind: 'text',
                    placeholder: shaft[name]?.text ?? example,
                    said: `${last ? 'Driven shaft' : shaft.name}: ${label}`,
                  }}
                />
              {/if}
            {/each}
          </div>
          {#if !last}
            <div class="mb-3 grid items-start gap-3 rounded-lg bg-paper p-3 sm:grid-cols-[minmax(0,2fr)_1fr_1fr_auto]">
              <Field
                {store}
                {hydrated}
                field={{
                  path: `load.stages.${at}.kind`,
                  label: `Stage ${at + 1}`,
                  kind: 'select',
                  options: transmissionOptions,
                }}
              />
              <Field
                {store}
                {hydrated}
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
                {hydrated}
                field={{
                  path: `load.stages.${at}.efficiency`,
                  label: 'Efficiency',
                  kind: 'text',
                  placeholder: usual(at) ?? '96 %',
                  said: `Efficiency of stage ${at + 1}`,
                }}
              />
              <Button
                color="alternative"
                class="mt-6 min-h-11 px-3! text-ink!"
                disabled={!hydrated}
                aria-label={`Remove stage ${at + 1}`}
                onclick={() => store.removeRow('load.stages', at)}>Remove</Button
              >
            </div>
          {/if}
        </li>
      {/each}
    </ol>
  {/if}
  <div class="flex flex-wrap items-center gap-3 px-4 py-3">
    <Button
      color="alternative"
      class="min-h-11 text-ink!"
      disabled={!hydrated || listed >= 8}
      onclick={() =>
        store.addRow('load.stages', { kind: listed === 0 ? 'V-belt' : 'helical gear', ratio: '', efficiency: '' })}
      >{listed === 0 ? 'List it stage by stage' : 'Add a stage'}</Button
    >
    {#if store.solution.values['load.inertia']}
      <p class="text-sm text-quiet">
        Inertia at the motor shaft <Figure
          label="Inertia at the motor shaft"
          value={store.solution.values['load.inertia']}
          whole={() => store.whole('load.inertia')}
        />
      </p>
    {/if}
  </div>
</section>
