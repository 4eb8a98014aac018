<script lang="ts">
  import type { AnyValue } from '@pilgrim/core';
  import { showWorking } from './working.svelte';

  interface Props {
    label: string;
    value: AnyValue;
    /** A page brings figures without their workings; this fetches it whole. */
    whole?: (() => Promise<AnyValue | undefined>) | undefined;
  }
  let { label, value, whole }: Props = $props();

  async function open(anchor: HTMLElement): Promise<void> {
    showWorking(label, (await whole?.()) ?? value, anchor);
  }
</script>

<!-- A figure that opens to its working. -->
<button
  type="button"
  class={value.evidence === 'assumed' ? 'figure italic' : 'figure'}
  aria-haspopup="dialog"
  aria-label={`${label}: ${value.text}`}
  title={value.evidence === 'assumed' ? 'Rests on an assumption. Show the derivation.' : 'Show the derivation'}
  onclick={(event) => void open(event.currentTarget)}>{value.text}</button
>
