<script lang="ts">
  import CloseOutline from 'flowbite-svelte-icons/CloseOutline.svelte';
  import Toast from 'flowbite-svelte/Toast.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';

  let { store }: { store: JobStore } = $props();
</script>

<!-- What a button changed, with the way back. -->
<Toast
  dismissable={false}
  class="fixed end-4 bottom-4 z-40 flex items-center gap-3 border bg-card! p-2! ps-4! text-ink!"
  data-testid="done"
>
  <span class="me-3" role="status">✓ {store.done}</span>
  <button
    type="button"
    class="min-h-9 px-2 font-semibold text-sea underline pointer-coarse:min-h-11"
    onclick={() => store.undo()}>Revert</button
  >
  <button
    type="button"
    class="min-h-9 min-w-9 rounded hover:bg-wash pointer-coarse:min-h-11"
    aria-label="Put away"
    onclick={() => (store.done = '')}><CloseOutline class="mx-auto" /></button
  >
</Toast>
