<script lang="ts">
  import type { StageName } from '@pilgrim/core/kernel/stage-list';
  import type { Snippet } from 'svelte';
  import FieldGrid from '$lib/components/FieldGrid.svelte';
  import Figures from '$lib/components/Figures.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import type { Sheet } from '$lib/job/sheets';
  import InTurn from '$lib/components/InTurn.svelte';
  import Late from '$lib/components/Late.svelte';
  import Readouts from './Readouts.svelte';

  interface Props {
    store: JobStore;
    stage: StageName;
    sheet: Sheet;
    /** What stands over fields and picture, over the whole width. */
    top?: Snippet | undefined;
    /** The picture the stage’s question needs. */
    picture?: Snippet | undefined;
    /** What is typed before and after the fields. */
    before?: Snippet | undefined;
    after?: Snippet | undefined;
    /** What stands under fields and picture. */
    children?: Snippet | undefined;
    /** Fields beside the picture; as a plate, which takes more room than its picture; or in a row above a picture over the whole width. */
    layout?: 'beside' | 'plate' | 'above';
  }
  let { store, stage, sheet, top, picture, before, after, children, layout = 'beside' }: Props = $props();

  const columns = {
    beside: 'lg:grid-cols-[minmax(0,20.5rem)_minmax(0,1fr)]',
    plate: 'lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]',
    above: '',
  } as const;
  const looks = { beside: 'compact', plate: 'plate', above: 'compact row' } as const;
</script>

<!-- A stage as a bench: what it comes to, what can be turned, and the picture of it, in one view. -->
<InTurn><Readouts {store} {stage} declared={sheet.values} /></InTurn>
{@render top?.()}
<div class={`grid grid-cols-[minmax(0,1fr)] items-start gap-3 ${columns[layout]}`}>
  <!-- On a narrow screen the picture comes first; where the fields are the picture, they do. -->
  <div class={layout === 'beside' ? 'order-2 lg:order-1' : undefined}>
    <InTurn>
      {@render before?.()}
      <FieldGrid fields={sheet.fields} {store} look={looks[layout]} {...layout === 'above' ? { part: 'first' } : {}} />
      {@render after?.()}
    </InTurn>
  </div>
  <div
    class={`grid grid-cols-[minmax(0,1fr)] gap-3 ${layout === 'beside' ? 'order-1 lg:order-2' : ''}`}
    data-testid="picture"
  >
    <InTurn>{@render picture?.()}</InTurn>
    {#if layout === 'above'}<FieldGrid fields={sheet.fields} {store} look={looks[layout]} part="folds" />{/if}
    <Late>
      <Figures
        values={store.solution.values}
        {stage}
        declared={sheet.values}
        currency={store.document.currency}
        school={store.school}
        whole={(id: string) => store.whole(id)}
        left={(id: string) =>
          store.solution.details.readouts.every((readout) => readout.id !== id) &&
          store.echo(id)?.read !== store.solution.values[id]?.text}
      />
    </Late>
  </div>
</div>
{#if children}<div class="mt-3 grid grid-cols-[minmax(0,1fr)] gap-3"><Late {children} /></div>{/if}
