<script lang="ts">
  import TabItem from 'flowbite-svelte/TabItem.svelte';
  import Tabs from 'flowbite-svelte/Tabs.svelte';
  import { fields } from '@pilgrim/core/stages/load/fields';
  import { termIn } from '@pilgrim/core/kernel/term';
  import { torqueKindOf } from '@pilgrim/core/stages/load/load-definition-methods';
  import { fieldId } from '$lib/job/reach';
  import type { ViewProps } from '$lib/stages/views';

  let { store }: Pick<ViewProps, 'store'> = $props();

  type Way = (typeof fields.way.options)[number][0];

  /** Where a person gets to know the load. */
  const places: readonly { readonly key: string; readonly name: string; readonly ways: readonly Way[] }[] = [
    { key: 'way-shaft', name: 'At the driven shaft', ways: ['torque', 'force'] },
    { key: 'way-motor', name: 'On the running motor', ways: ['input power', 'current', 'slip'] },
    {
      key: 'way-machine',
      name: 'From process data',
      ways: [
        'fan',
        'pump',
        'displacement pump',
        'conveyor',
        'hoist',
        'mixer',
        'screw compressor',
        'piston compressor',
        'crusher',
        'centrifuge',
        'press',
      ],
    },
    { key: 'way-table', name: 'Curve or duty cycle', ways: ['curve', 'duty'] },
  ];
  const names = $derived(
    new Map<string, string>(fields.way.options.map(([way, name]) => [way, termIn(name, store.school)])),
  );
  const label = $derived(termIn(fields.way.label, store.school));
  /** What it is asked by follows in the fields. */
  const short = (way: Way): string => names.get(way)?.split(':')[0] ?? way;
  const chosen = $derived(store.document.load.way);
  /** Undo, or another way in, may change it. */
  let shown = $derived(places.find(({ ways }) => ways.includes(chosen))?.key ?? '');

  /** What a machine is known by tells how its torque goes with speed, and what it is. */
  function choose(way: Way): void {
    const kind = torqueKindOf(way);
    store.setMany({
      'load.way': way,
      ...(kind ? { 'load.torqueKind': kind } : {}),
      ...(way === 'fan' || way === 'pump' ? { 'load.machine': way } : {}),
    });
  }
</script>

<!-- How the load is known: where a person gets to know it as tabs, the ways there in each. -->
<div class="mb-3 rounded-lg border bg-card px-2" data-field="load.way">
  <Tabs
    bind:selected={shown}
    tabStyle="underline"
    class="flex-wrap"
    classes={{ content: 'mt-0! bg-transparent! p-0! py-1.5!' }}
    aria-label={label}
  >
    {#each places as place (place.key)}
      <TabItem
        key={place.key}
        title={place.name}
        activeClass="border-b-2 border-sea font-semibold text-sea"
        inactiveClass="border-b-2 border-transparent text-quiet hover:text-ink"
        classes={{ button: 'min-h-9 px-3 py-1.5 text-sm whitespace-nowrap pointer-coarse:min-h-11' }}
      >
        <fieldset class="flex flex-wrap gap-1">
          <legend class="sr-only">{label}</legend>
          {#each place.ways as way (way)}
            <label
              class={`flex min-h-8 cursor-pointer items-center gap-1.5 rounded-full border px-2.5 text-sm hover:bg-wash has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-sea pointer-coarse:min-h-11 ${way === chosen ? 'border-copper bg-wash font-semibold' : ''}`}
              ><input
                type="radio"
                id={way === chosen ? fieldId('load.way') : undefined}
                class="size-3.5 focus:ring-0"
                name="load-way"
                value={way}
                checked={way === chosen}
                onchange={() => choose(way)}
              />{short(way)}</label
            >
          {/each}
        </fieldset>
      </TabItem>
    {/each}
  </Tabs>
</div>
