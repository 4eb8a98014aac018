<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import type { ViewProps } from '$lib/stages/views';
  import type { Handle } from '$lib/charts/handles';
  import { controlNames, headChart, profileChart } from '$lib/charts/operating-profile-chart';
  import { fieldId, reach } from '$lib/job/reach';
  import Chart from '$lib/components/Chart.svelte';
  import EmptyPicture from '$lib/components/EmptyPicture.svelte';
  import Field from '$lib/components/Field.svelte';
  import TableCard from '$lib/components/TableCard.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const PATH = 'profile.points';
  const steps = $derived(store.solution.details.profile);
  const count = $derived(store.rowCount(PATH));
  const stepAt = $derived(new Map(steps.map((step) => [step.path, step])));

  const kilowatts = (watts: number | undefined): string => (watts === undefined ? '–' : (watts / 1000).toFixed(1));
  const percent = (share: number | undefined): string => (share === undefined ? '–' : `${Math.round(share * 100)} %`);
  /** Hours are typed to ten. */
  const rounded = (hours: number): number => Math.max(0, Math.min(8760, Math.round(hours / 10) * 10));
  const handles = $derived(
    steps.flatMap(({ path, flow, hours }): Handle[] =>
      path.startsWith(PATH)
        ? [
            {
              at: [flow * 100, hours / 3600],
              yAxis: 1,
              ways: 'vertical',
              moved: (_, to) => store.set(`${path}.hours`, `${rounded(to)} h`),
            },
          ]
        : [],
    ),
  );
  /** Dots of the rows go to the sides, typed points of the curve anywhere. */
  const headHandles = $derived.by((): Handle[] => {
    const picture = store.solution.details.flowPicture;
    if (!picture) return [];
    const plain = (si: number, dimension: 'flow' | 'altitude' | 'pressure'): string =>
      formatQuantity(si, dimension, store.shows).replaceAll('\u00a0', ' ');
    const share = (percent: number, most: number): number => Math.min(most, Math.max(0, percent / 100));
    return [
      ...picture.duty.map(({ path, flow, head }): Handle => ({
        at: [flow * 100, head * 100],
        ways: 'horizontal',
        moved: (to) => store.set(`${path}.flow`, `${Math.round(share(to, 1.2) * 100)} %`),
      })),
      ...picture.typed.map(({ path, by, flow, head, ofFlow, ofHead }): Handle => ({
        at: [flow * 100, head * 100],
        ways: 'both',
        moved: (to, up) =>
          store.setMany({
            [`${path}.flow`]: plain(share(to, 2) * ofFlow, 'flow'),
            [`${path}.${by}`]: plain(share(up, 4) * ofHead, by === 'head' ? 'altitude' : 'pressure'),
          }),
      })),
    ];
  });
</script>

{#if steps.length > 0}
  <section class="rounded-lg border bg-card p-3" aria-label="Power–flow curve">
    <h2 class="mb-2 text-sm font-semibold text-quiet">
      Power against flow, hours as bars: drag a bar’s end, or type below
    </h2>
    <Chart
      option={profileChart(steps, store.solution.details.flowCurves, String(store.get('profile.control') ?? ''))}
      {handles}
      height={330}
      label="Electrical power against flow for every way to control it, with the hours a year as bars; the tables below hold the figures."
    />
    <details>
      <summary class="min-h-9 cursor-pointer py-1.5 text-sm text-sea">Curve data, kW</summary>
      <TableCard label="Power by flow control method, kW">
        <thead>
          <tr class="text-left text-quiet">
            <th scope="col" class="font-normal">Control</th>
            {#each store.solution.details.flowCurves[0]?.flows ?? [] as flow (flow)}
              <th scope="col" class="px-1 text-right font-normal">{Math.round(flow * 100)} %</th>
            {/each}
          </tr>
        </thead>
        <tbody>
          {#each store.solution.details.flowCurves as curve (curve.control)}
            <tr class="border-t" data-control={curve.control}>
              <th scope="row" class="text-left font-normal whitespace-nowrap">{controlNames[curve.control]}</th>
              {#each curve.inputs as input, at (at)}<td class="px-1 text-right">{kilowatts(input)}</td>{/each}
            </tr>
          {/each}
        </tbody>
      </TableCard>
    </details>
    <details>
      <summary class="min-h-9 cursor-pointer py-1.5 text-sm text-sea"
        >Power from machine to line, by operating point</summary
      >
      <TableCard label="Power from machine to line, by operating point">
        <thead>
          <tr class="text-left text-quiet">
            {#each ['Flow', 'Head', 'Speed', 'Shaft, kW', 'Motor, kW', 'Drive loses, kW', 'Line, kW'] as title (title)}
              <th scope="col" class="px-1 text-right font-normal first:text-left">{title}</th>
            {/each}
          </tr>
        </thead>
        <tbody>
          {#each steps as { path, flow, head, speed, shaftControlled, motorInput, driveLoss, speedControlled } (path)}
            <tr class="border-t text-right" data-powers={path}>
              <th scope="row" class="text-left font-normal">{percent(flow)}</th>
              <td class="px-1">{percent(head)}</td>
              <td class="px-1">{percent(speed)}</td>
              <td class="px-1">{kilowatts(shaftControlled)}</td>
              <td class="px-1">{kilowatts(motorInput)}</td>
              <td class="px-1">{kilowatts(driveLoss)}</td>
              <td class="px-1">{kilowatts(speedControlled)}</td>
            </tr>
          {/each}
        </tbody>
      </TableCard>
    </details>
  </section>
{:else}
  <EmptyPicture
    label="Power–flow curve"
    example="M60 70C140 60 220 50 300 40M60 104C140 98 220 78 300 40"
    needs={[
      { text: 'hours a year at a flow', field: PATH },
      { text: 'how the flow is controlled', field: 'profile.control' },
    ]}
  />
{/if}
<section class="rounded-lg border bg-card p-3" aria-label="Annual hours by flow">
  {#if count > 0}
    <table class="typed w-full text-sm">
      <caption class="pb-1 text-left text-sm font-semibold text-quiet">Annual hours by flow</caption>
      <thead>
        <tr class="text-left text-quiet">
          <th scope="col" class="font-normal">Flow</th>
          <th scope="col" class="font-normal">Hours</th>
          <th scope="col" class="text-right font-normal">Present, kW</th>
          <th scope="col" class="text-right font-normal">Speed control, kW</th>
          <th scope="col"><span class="sr-only">Remove</span></th>
        </tr>
      </thead>
      <tbody>
        {#each { length: count }, index (index)}
          {@const step = stepAt.get(`${PATH}.${index}`)}
          <tr class="border-t" data-row={`${PATH}.${index}`}>
            {#each [['flow', 'Flow', '70 %'], ['hours', 'Hours', '2000 h']] as const as [name, label, placeholder] (name)}
              <td class="w-28 py-0.5 pe-2">
                <Field
                  {store}
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
    onclick={() => store.addRow(PATH, { flow: '', hours: '' })}>Add a row</Button
  >
</section>
{#if store.solution.details.flowPicture}
  <section class="rounded-lg border bg-card p-3" aria-label="Head–flow curve">
    <h2 class="mb-1 text-sm font-semibold text-quiet">Head of machine and system; marker size shows annual hours</h2>
    <Chart
      option={headChart(store.solution.details.flowPicture)}
      handles={headHandles}
      label="Head of the machine at several speeds and of the system against flow; points stand where the hours are."
    />
  </section>
{/if}
