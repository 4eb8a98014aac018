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

{@render children()}
