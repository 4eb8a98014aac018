<script lang="ts">
  import { fetched } from '$lib/fetched.svelte';
  import Bench from '$lib/bench/Bench.svelte';
  import BothSchools from './StandardsComparison.svelte';
  import Figures from '$lib/components/Figures.svelte';
  import RunPicture from './RunPicture.svelte';
  import RowsEditor from '$lib/components/RowsEditor.svelte';
  import { fields } from '@pilgrim/core/stages/protection/fields';
  import { starterValues } from '@pilgrim/core/stages/protection/starter-values';
  import Cautions from '$lib/components/Cautions.svelte';
  import ScheduleLinks from '$lib/components/ScheduleLinks.svelte';
  import TimeCurrent from './TimeCurrent.svelte';
  import { optionsOf } from '$lib/job/sheets';
  import type { ViewProps } from '$lib/stages/views';

  const { kind } = fields.others.cells;
  const kindCell = [{ path: 'kind', label: kind.label, options: optionsOf(kind.options) }];

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="protection">
  {#snippet picture()}<TimeCurrent store={props.store} />{/snippet}
  <Figures
    values={props.store.solution.values}
    stage="starter"
    title="Starter"
    declared={starterValues}
    currency={props.store.document.currency}
    school={props.store.school}
    whole={(id: string) => props.store.whole(id)}
  />
  {#if props.store.solution.details.runs.length > 0}<RunPicture runs={props.store.solution.details.runs} />{/if}
  {#if props.store.solution.details.scheme}
    {@const { scheme } = props.store.solution.details}
    {#await fetched(() => import('$lib/components/Diagrams.svelte')) then { default: Diagrams }}<Diagrams
        {scheme}
      />{/await}
  {/if}
  <BothSchools store={props.store} />
  <RowsEditor
    store={props.store}
    title="Other circuits on the feeder"
    path="protection.others"
    row="circuit"
    cells={[
      { path: 'circuit', label: 'Circuit', placeholder: 'Stock pump 2' },
      { path: 'current', label: 'Sizing current', placeholder: '40 A' },
      { path: 'device', label: 'Protective device rating', placeholder: '100 A' },
    ]}
    further={{ title: 'Load type', cells: kindCell }}
    fresh={{ circuit: '', kind: 'motor', current: '', device: '' }}
  />
  <ScheduleLinks base={props.base} of="this job" />
  <Cautions />
</Bench>
