<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import type { ViewProps } from '$lib/stages/views';
  import type { Handle } from '$lib/charts/handles';
  import { profileChart } from '$lib/charts/profile-chart';
  import { fieldId, reach } from '$lib/job/reach';
  import Chart from './Chart.svelte';
  import EmptyPicture from './EmptyPicture.svelte';
  import Field from './Field.svelte';

  let { store, hydrated }: Pick<ViewProps, 'store' | 'hydrated'> = $props();

  const PATH = 'profile.points';
  const steps = $derived(store.solution.details.profile);
  const count = $derived(store.rowCount(PATH));
  const stepAt = $derived(new Map(steps.map((step) => [step.at, step])));

  const kilowatts = (watts: number | undefined): string => (watts === undefined ? '–' : (watts / 1000).toFixed(1));
  /** Hours are typed to ten. */
  const rounded = (hours: number): number => Math.max(0, Math.min(8760, Math.round(hours / 10) * 10));
  const handles = $derived(
    steps.map(({ at, flow, hours }): Handle => ({
      at: [flow * 100, hours / 3600],
      yAxis: 1,
      ways: 'vertical',
      moved: (_, to) => store.set(`${PATH}.${at}.hours`, `${rounded(to)} h`),
    })),
  );
</script>

{#if steps.length > 0}
  <section class="rounded-lg border bg-card p-3" aria-label="Power against flow">
    <h2 class="mb-2 text-sm font-semibold text-quiet">
      Power against flow, hours as bars: drag a bar’s end, or type below
    </h2>
    <Chart
      option={profileChart(steps)}
      {handles}
      label="Electrical power against flow as controlled today and with speed control, with the hours a year as bars; the table below holds the figures."
    />
  </section>
{:else}
  <EmptyPicture
    label="Power against flow"
    example="M60 70C140 60 220 50 300 40M60 104C140 98 220 78 300 40"
    needs={[
      { text: 'hours a year at a flow', field: PATH },
      { text: 'how the flow is controlled', field: 'profile.control' },
    ]}
  />
{/if}
<section class="rounded-lg border bg-card p-3" aria-label="Hours a year at each flow">
  {#if count > 0}
    <table class="typed w-full text-sm">
      <caption class="pb-1 text-left text-sm font-semibold text-quiet">Hours a year at each flow</caption>
      <thead>
        <tr class="text-left text-quiet">
          <th scope="col" class="font-normal">Flow</th>
          <th scope="col" class="font-normal">Hours</th>
          <th scope="col" class="text-right font-normal">Today, kW</th>
          <th scope="col" class="text-right font-normal">By speed, kW</th>
          <th scope="col"><span class="sr-only">Remove</span></th>
        </tr>
      </thead>
      <tbody>
        {#each { length: count }, index (index)}
          {@const step = stepAt.get(index)}
          <tr class="border-t" data-row={`${PATH}.${index}`}>
            {#each [['flow', 'Flow', '70 %'], ['hours', 'Hours', '2000 h']] as const as [name, label, placeholder] (name)}
              <td class="w-28 py-0.5 pe-2">
                <Field
                  {store}
                  {hydrated}
                  field={{
                    path: `${PATH}.${index}.${name}`,
                    label,
                    kind: 'text',
                    placeholder,
                    said: `${label} of step ${index + 1}`,
                  }}
                />
              </td>
            {/each}
            <td class="text-right">{kilowatts(step?.throttled)}</td>
            <td class="text-right">{kilowatts(step?.speedControlled)}</td>
            <td class="w-8 text-right">
              <button
                type="button"
                class="min-h-8 min-w-8 rounded hover:bg-wash pointer-coarse:min-h-11"
                disabled={!hydrated}
                aria-label={`Remove step ${index + 1}`}
                onclick={() => {
                  store.removeRow(PATH, index);
                  reach(fieldId(PATH));
                }}>×</button
              >
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  <Button
    id={fieldId(PATH)}
    color="alternative"
    class="mt-2 min-h-9 px-3! text-ink! pointer-coarse:min-h-11"
    disabled={!hydrated}
    onclick={() => store.addRow(PATH, { flow: '', hours: '' })}>Add a step</Button
  >
</section>
