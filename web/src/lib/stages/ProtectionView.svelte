<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import BothSchools from '$lib/components/BothSchools.svelte';
  import Figures from '$lib/components/Figures.svelte';
  import { starterValues } from '@pilgrim/core/stages/protection/starter-values';
  import Cautions from '$lib/components/Cautions.svelte';
  import TimeCurrent from '$lib/components/TimeCurrent.svelte';
  import type { ViewProps } from './views';

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
    whole={(id: string) => props.store.whole(id)}
  />
  <BothSchools store={props.store} />
  <Cautions />
</Bench>
