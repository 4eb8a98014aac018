<script lang="ts">
  import type { JobStore } from '$lib/job/job-store.svelte';

  let { store }: { store: JobStore } = $props();

  const texts = $derived<Record<Exclude<typeof store.saveState, 'saved'>, string>>({
    saving: 'Saving …',
    waiting: 'Not sent: kept in this browser, trying again',
    conflict: 'Saved by somebody else too',
    refused: `Not saved. ${store.refusal}`,
  });
  const calm = $derived(store.saveState === 'saved' || store.saveState === 'saving');
</script>

<p
  role="status"
  class={`rounded-full border px-3 py-1 text-sm whitespace-nowrap ${calm ? 'text-quiet' : 'border-caution bg-caution-wash text-caution'}`}
  data-save={store.saveState}
>
  {#if store.saveState === 'saved'}
    {#if store.joined}<span title={store.joined}>Joined ·</span>{/if}
    Saved<span class="hidden lg:inline">{store.savedAt ? ` ${store.savedAt}` : ''}</span> ·
    <a
      class="underline decoration-dotted underline-offset-4"
      href={`/jobs/${store.id}/revisions`}
      title="What was saved before">rev {store.revision}</a
    >
  {:else}{texts[store.saveState]}{/if}
</p>
