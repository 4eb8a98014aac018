<script lang="ts">
  import type { AnyValue } from '@pilgrim/core';
  import { showWorking } from './working.svelte';

  let { label, value, strong = false }: { label: string; value: AnyValue; strong?: boolean } = $props();
</script>

<!-- A figure that opens to its working. -->
<button
  type="button"
  class={`cursor-pointer text-left underline decoration-dotted decoration-1 underline-offset-4 hover:decoration-solid ${strong ? 'font-semibold' : ''} ${value.origin === 'estimated' ? 'italic' : ''}`}
  aria-haspopup="dialog"
  title="Show the working"
  onclick={(event) => showWorking(label, value, event.currentTarget)}>{value.text}</button
>
