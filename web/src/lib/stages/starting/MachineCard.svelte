<script lang="ts">
  import type { Solution } from '@pilgrim/core';
  import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
  import TableCard from '$lib/components/TableCard.svelte';

  let { machine, school }: { machine: NonNullable<Solution['details']['machine']>; school: StandardsSystem } = $props();

  type Quantity = (typeof machine.quantities)[number];
  const units = { W: 'power', A: 'current', 'rad/s': 'speed', '1': 'fraction', 'N·m': 'torque' } as const;
  const show = (value: number, { unit }: Quantity): string => formatQuantity(value, units[unit], school);
  const off = ({ residual, bound }: Quantity): string =>
    Math.abs(residual) < 0.0005
      ? bound === undefined
        ? 'met'
        : 'kept'
      : `${residual > 0 ? '+' : '−'}${(Math.abs(residual) * 100).toFixed(1)} %`;
  const percent = (value: number): string => `${(value * 100).toFixed(1)} %`;
  const head = 'px-3 py-1.5 font-normal';
</script>

<TableCard label="Equivalent circuit" caption="Double-cage equivalent circuit: fit to nameplate and class">
  <thead>
    <tr class="text-left text-quiet">
      <th scope="col" class={head}>Figure</th>
      <th scope="col" class={`${head} text-right`}>Nameplate or class</th>
      <th scope="col" class={`${head} text-right`}>Circuit</th>
      <th scope="col" class={`${head} text-right`}>Deviation</th>
    </tr>
  </thead>
  <tbody>
    {#each machine.quantities as each (each.name)}
      <tr class="border-t" data-fit={each.name}>
        <th scope="row" class="px-3 py-1.5 text-left font-normal">{each.name}</th>
        <td class="px-3 text-right whitespace-nowrap">{each.bound ?? ''} {show(each.target, each)}</td>
        <td class="px-3 text-right whitespace-nowrap">{show(each.reached, each)}</td>
        <td class={`px-3 text-right ${Math.abs(each.residual) > 0.05 ? 'font-semibold text-stop' : 'text-quiet'}`}
          >{off(each)}</td
        >
      </tr>
    {/each}
  </tbody>
  {#snippet foot()}
    {#if machine.conflicts.length > 0}<p class="border-t px-3 py-2 text-sm text-caution">
        △ These do not go together: {machine.conflicts.join('; ')}.
      </p>{/if}
  {/snippet}
</TableCard>
<TableCard label="Part load" caption="Part-load operation, and the effect of flux optimization">
  <thead>
    <tr class="text-left text-quiet">
      <th scope="col" class={head}>Torque</th>
      <th scope="col" class={`${head} text-right`}>Speed</th>
      <th scope="col" class={`${head} text-right`}>Current</th>
      <th scope="col" class={`${head} text-right`}>Efficiency</th>
      <th scope="col" class={`${head} text-right`}>Power factor</th>
      <th scope="col" class={`${head} text-right`}>Flux optimization saves</th>
    </tr>
  </thead>
  <tbody>
    {#each machine.partLoads as each (each.share)}
      <tr class="border-t">
        <th scope="row" class="px-3 py-1.5 text-left font-normal">{Math.round(each.share * 100)} %</th>
        <td class="px-3 text-right whitespace-nowrap">{formatQuantity(each.speed, 'speed', school)}</td>
        <td class="px-3 text-right whitespace-nowrap">{formatQuantity(each.current, 'current', school)}</td>
        <td class="px-3 text-right">{percent(each.efficiency)}</td>
        <td class="px-3 text-right">{each.powerFactor.toFixed(2)}</td>
        <td class="px-3 text-right">{percent(each.fluxSaving)}</td>
      </tr>
    {/each}
  </tbody>
</TableCard>
