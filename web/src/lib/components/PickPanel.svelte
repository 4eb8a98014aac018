<script lang="ts">
  import TableCard from './TableCard.svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import RefusedList from './RefusedList.svelte';

  let { store, hydrated }: { store: JobStore; hydrated: boolean } = $props();

  const details = $derived(store.solution.details);
  const { factor, currency } = $derived(details.pricing);

  const whole = (value: number): string => Math.round(value).toLocaleString('en').replaceAll(',', '\u00a0');
  const percent = (value: number): string => `${(value * 100).toFixed(1)} %`;
  const head = 'px-3 py-1.5 font-normal';
</script>

{#if details.motors}
  <TableCard
    label="Motors that fit"
    class="mt-6"
    caption={`Motors that fit, ranked by ${String(store.get('pick.prefer'))}`}
  >
    <thead>
      <tr class="text-left text-quiet">
        <th scope="col" class={head}>Motor</th>
        <th scope="col" class={`${head} text-right`}>Amps</th>
        <th scope="col" class={`${head} text-right`}>η min</th>
        <th scope="col" class={`${head} text-right`}>Price</th>
        <th scope="col" class={`${head} text-right`}>Days</th>
        <th scope="col" class={head}>Why</th>
        <th scope="col" class={head}><span class="sr-only">Choose</span></th>
      </tr>
    </thead>
    <tbody>
      {#each details.motors.fits as motor (motor.item.id)}
        {@const chosen = motor.item.id === details.chosenMotor?.item.id}
        <tr class={`border-t ${chosen ? 'bg-wash' : ''}`} data-motor={motor.item.id}>
          <th scope="row" class="px-3 py-2 text-left font-semibold whitespace-nowrap"
            >{motor.item.name}<span class="block text-xs font-normal text-quiet"
              >{motor.item.maker} · {motor.item.enclosure} · {motor.item.efficiencyClass}</span
            ></th
          >
          <td class="px-3 text-right">{motor.current.toFixed(1)}</td>
          <td class="px-3 text-right whitespace-nowrap">{percent(motor.item.efficiencyMinimum)}</td>
          <td class="px-3 text-right whitespace-nowrap">{whole(motor.item.price * factor)} {currency}</td>
          <td class="px-3 text-right">{motor.item.leadDays}</td>
          <td class="min-w-44 px-3">{motor.reasons.join(', ')}</td>
          <td class="px-3 py-1 text-right">
            {#if chosen}<span class="text-sea">chosen</span>
            {:else}<Button
                size="sm"
                color="alternative"
                class="min-h-11 text-ink!"
                disabled={!hydrated}
                aria-label={`Choose ${motor.item.name}`}
                onclick={() => store.set('pick.motor', motor.item.id)}>Choose</Button
              >{/if}
          </td>
        </tr>
      {:else}
        <tr><td colspan="7" class="px-4 py-3">No motor in the catalogue fits. The list below says why.</td></tr>
      {/each}
    </tbody>
  </TableCard>
{/if}

{#if details.drives}
  {@const { fits, byPower } = details.drives}
  <TableCard label="Drives that fit" caption="Drives whose current covers the motor’s, the least costly first">
    <thead>
      <tr class="text-left text-quiet">
        <th scope="col" class={head}>Drive</th>
        <th scope="col" class={`${head} text-right`}>Amps here</th>
        <th scope="col" class={`${head} text-right`}>Used</th>
        <th scope="col" class={`${head} text-right`}>Price</th>
        <th scope="col" class={`${head} text-right`}>Days</th>
        <th scope="col" class={head}><span class="sr-only">Choose</span></th>
      </tr>
    </thead>
    <tbody>
      {#each fits as drive (drive.item.id)}
        {@const chosen = drive.item.id === details.chosenDrive?.item.id}
        <tr class={`border-t ${chosen ? 'bg-wash' : ''}`} data-drive={drive.item.id}>
          <th scope="row" class="px-3 py-2 text-left font-semibold whitespace-nowrap"
            >{drive.item.name}<span class="block text-xs font-normal text-quiet">{drive.item.maker}</span></th
          >
          <td class="px-3 text-right">{drive.current.toFixed(1)}</td>
          <td class="px-3 text-right whitespace-nowrap">{percent(drive.used)}</td>
          <td class="px-3 text-right whitespace-nowrap">{whole(drive.item.price * factor)} {currency}</td>
          <td class="px-3 text-right">{drive.item.leadDays}</td>
          <td class="px-3 py-1 text-right">
            {#if chosen}<span class="text-sea">chosen</span>
            {:else}<Button
                size="sm"
                color="alternative"
                class="min-h-11 text-ink!"
                disabled={!hydrated}
                aria-label={`Choose ${drive.item.name}`}
                onclick={() => store.set('pick.drive', drive.item.id)}>Choose</Button
              >{/if}
          </td>
        </tr>
      {/each}
    </tbody>

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
  </TableCard>
{/if}

{#if details.starter}
  <TableCard
    label="Starter"
    class="mt-4"
    caption={`Starter, ${whole(details.starter.price * factor)} ${currency} · proposed, confirm the combination in the maker’s tested tables`}
  >
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
    class="mt-4 min-h-11 text-ink!"
    disabled={!hydrated}
    onclick={() => store.setMany({ 'pick.motor': undefined, 'pick.drive': undefined })}
    >Let the ranking choose again</Button
  >
{/if}

{#if details.motors}<RefusedList
    title="Motors refused, nearest misses first"
    refused={details.motors.refused}
    others={details.motors.others}
    {hydrated}
  />{/if}
{#if details.drives}<RefusedList
    title="Drives refused, nearest misses first"
    refused={details.drives.refused}
    {hydrated}
  />{/if}
