<script lang="ts">
  import type { Job } from '@pilgrim/core';
  import { fromPage } from '@pilgrim/core/solve/page';
  import { onMount, untrack } from 'svelte';
  import { JobStore } from '$lib/job/job-store.svelte';
  import { setJobStore } from '$lib/job/context';
  import { see } from '$lib/job/seen';
  import type { LayoutProps } from './$types';

  let { data, children }: LayoutProps = $props();

  const store = untrack(
    () =>
      new JobStore(
        data.id,
        data.revision,
        JSON.parse(data.document) as Job,
        fromPage(data.page, data.details),
        data.ownNames,
      ),
  );
  setJobStore(store);
  onMount(() => store.resume());
  $effect(() => see(data.id, store.revision));
</script>

<svelte:window onpagehide={() => store.leave()} />

{#if data.removed}
  <form
    method="post"
    action="/?/restore"
    class="no-print flex flex-wrap items-center gap-3 border-b bg-card px-4 py-2 text-sm"
    data-testid="removed"
  >
    <input type="hidden" name="id" value={data.id} />
    <strong>△ This job was removed; what is typed here is not saved.</strong>
    <button class="min-h-8 rounded-lg border px-3 text-sea hover:bg-wash pointer-coarse:min-h-11">Restore</button>
  </form>
{/if}
{@render children()}
