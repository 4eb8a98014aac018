<script lang="ts">
  import type { JobStore } from '$lib/job/job-store.svelte';
  import Notice from './Notice.svelte';

  let { store }: { store: JobStore } = $props();
</script>

<!-- What a button changed, with the way back. -->
<Notice
  testid="done"
  text={`✓ ${store.done}`}
  action="Revert"
  onaction={() => store.undo()}
  onclose={() => (store.done = '')}
/>
