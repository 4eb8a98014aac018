<script lang="ts">
  import TableCard from '$lib/components/TableCard.svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import type { RankedColumn } from './ranked';
  import RankedTable from './RankedTable.svelte';
  import RefusedList from './RefusedList.svelte';

  let { store }: { store: JobStore } = $props();

  const details = $derived(store.solution.details);
  const { factor, currency } = $derived(details.pricing);

  const whole = (value: number): string => Math.round(value).toLocaleString('en').replaceAll(',', '\u00a0');
  const percent = (value: number): string => `${(value * 100).toFixed(1)} %`;
  const motors = $derived(
    (details.motors?.fits ?? []).map(({ item, current, lifeCost, reasons }) => ({
      id: item.id,
      name: item.name,
      under: `${item.maker} · ${item.enclosure} · ${item.efficiencyClass}`,
      price: item.price * factor,
      life: lifeCost * factor,
      days: item.leadDays,
      amps: current,
      efficiency: item.efficiencyMinimum,
      reasons: reasons.join(', '),
    })),
  );
  const coordination = $derived(store.solution.values['starter.coordination']);
  const together = $derived(
    coordination?.origin === 'looked up'
      ? `tested together by their maker, ${coordination.text}`
      : 'proposed, confirm the combination in the maker’s tested tables',
  );
  /** Whether its losses are counted: hours and a price of energy are known. */
  const running = $derived(motors.some(({ price, life }) => life > price));
  const drives = $derived(
    (details.drives?.fits ?? []).map(({ item, current, used }) => ({
      id: item.id,
      name: item.name,
      under: item.maker,
      price: item.price * factor,
      used,
      amps: current,
      days: item.leadDays,
      reasons: '',
    })),
  );
  type MotorRow = (typeof motors)[number];
  type DriveRow = (typeof drives)[number];

  const lifeCost: RankedColumn<MotorRow> = {
    id: 'life',
    label: 'Life cost',
    of: ({ life }) => life,
    text: ({ life }) => whole(life),
    bar: true,
  };
  const bought: readonly RankedColumn<MotorRow>[] = [
    { id: 'price', label: 'Price', of: ({ price }) => price, text: ({ price }) => whole(price), bar: true },
  ];
  const others: readonly RankedColumn<MotorRow>[] = [
    { id: 'days', label: 'Days', of: ({ days }) => days, text: ({ days }) => String(days), bar: true },
    { id: 'amps', label: 'Amps', of: ({ amps }) => amps, text: ({ amps }) => amps.toFixed(1) },
    { id: 'efficiency', label: 'η min', of: ({ efficiency }) => efficiency, text: (row) => percent(row.efficiency) },
  ];
  const motorColumns = $derived([...bought, ...(running ? [lifeCost] : []), ...others]);
  const driveColumns: readonly RankedColumn<DriveRow>[] = [
    { id: 'price', label: 'Price', of: ({ price }) => price, text: ({ price }) => whole(price), bar: true },
    { id: 'used', label: 'Current used', of: ({ used }) => used, text: ({ used }) => percent(used), bar: true },
    { id: 'amps', label: 'Amps here', of: ({ amps }) => amps, text: ({ amps }) => amps.toFixed(1) },
    { id: 'days', label: 'Days', of: ({ days }) => days, text: ({ days }) => String(days), bar: true },
  ];
</script>

{#if details.motors}
  <RankedTable
    label="Suitable motors"
    caption={`Motors that fit, ranked by ${String(store.get('pick.prefer'))} · prices in ${currency}`}
    kind="motor"
    rows={motors}
    columns={motorColumns}
    chosen={details.chosenMotor?.item.id}
    choose={(id: string) => store.set('pick.motor', id)}
    none="No motor in the catalogue fits. The list below says why."
  />
{/if}

{#if details.drives}
  {@const { byPower } = details.drives}
  <RankedTable
    label="Suitable drives"
    caption={`Drives whose current covers the motor’s, the least costly first · prices in ${currency}`}
    kind="drive"
    rows={drives}
    columns={driveColumns}
    chosen={details.chosenDrive?.item.id}
    choose={(id: string) => store.set('pick.drive', id)}
    none="No drive in the catalogue fits. The list below says why."
  >
    {#snippet foot()}{#if byPower}
        <p class="border-t px-4 py-2 text-sm text-quiet">
          Cross-check by power: {byPower.item.name}, {byPower.current.toFixed(1)} A here —
          {byPower.verdict === 'short'
            ? 'would have been short'
            : byPower.verdict === 'wasteful'
              ? 'would have been wasteful'
              : 'close enough'}.
        </p>
      {/if}{/snippet}
  </RankedTable>
{/if}

{#if details.starter}
  <TableCard label="Starter" caption={`Starter, ${whole(details.starter.price * factor)} ${currency} · ${together}`}>
    <tbody>
      {#each details.starter.parts as part (part.role)}
        <tr class="border-t first:border-t-0">
          <th scope="row" class="px-4 py-2 text-left font-normal text-quiet">{part.role}</th>
          <td class="px-3 font-semibold">{part.part.name}</td>
          <td class="px-3 text-right whitespace-nowrap">carries {part.carries.toFixed(1)} A</td>
          <td class="px-4 text-right whitespace-nowrap">{whole(part.part.price * factor)} {currency}</td>
        </tr>
      {/each}
    </tbody>
  </TableCard>
{/if}

{#if store.get('pick.motor') || store.get('pick.drive')}
  <Button
    color="alternative"
    class="min-h-11 justify-self-start text-ink!"
    onclick={() => store.setMany({ 'pick.motor': undefined, 'pick.drive': undefined })}
    >Return to the ranked choice</Button
  >
{/if}

{#if details.motors}<RefusedList
    title="Rejected motors, nearest first"
    refused={details.motors.refused}
    others={details.motors.others}
  />{/if}
{#if details.drives}<RefusedList title="Rejected drives, nearest first" refused={details.drives.refused} />{/if}
