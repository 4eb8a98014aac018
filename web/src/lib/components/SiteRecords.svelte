<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { onMount, type Snippet } from 'svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import type { RecordKind, SiteRecord } from '$lib/job/site-records';

  interface Props {
    store: JobStore;
    kind: RecordKind;
    /** What the records are called, and what one of them may be called. */
    title: string;
    example: string;
    /** Fills the job in from a record. */
    take: (record: SiteRecord) => void;
    /** What is kept of the job. */
    document: () => object;
    /** What else a record that was looked at offers. */
    offer?: Snippet<[SiteRecord]>;
  }
  let { store, kind, title, example, take, document, offer }: Props = $props();

  let records = $state.raw<readonly SiteRecord[]>([]);
  let taken = $state.raw<SiteRecord>();
  let name = $state('');
  let outcome = $state('');

  async function look(): Promise<void> {
    const site = encodeURIComponent(store.document.site);
    const response = await fetch(`/api/records?site=${site}&kind=${kind}`).catch(() => undefined);
    if (response?.ok) records = (await response.json()) as SiteRecord[];
  }
  onMount(() => void look());

  function choose(wanted: string): void {
    taken = records.find((each) => each.name === wanted);
    if (!taken) return;
    take(taken);
    outcome = `${taken.name} is filled in. Undo reverses it.`;
  }

  async function keep(): Promise<void> {
    const response = await fetch('/api/records', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ kind, site: store.document.site, name, document: document() }),
    }).catch(() => undefined);
    const answer = (await response?.json().catch(() => undefined)) as { issues?: { message: string }[] } | undefined;
    outcome = response?.ok
      ? `Kept as ${name.trim()} for other jobs of ${store.document.site}.`
      : (answer?.issues?.[0]?.message ?? 'It could not be kept just now.');
    if (response?.ok) {
      name = '';
      await look();
    }
  }
</script>

<section class="rounded-lg border bg-card p-3" aria-label={`${title} of the site`}>
  <div class="grid gap-3">
    <div>
      <label for={`${kind}-record`} class="mb-1 block text-sm text-quiet"
        >{title} of {store.document.site || 'the site'}</label
      >
      <select
        id={`${kind}-record`}
        class="entry"
        disabled={records.length === 0}
        value=""
        onchange={(event) => choose(event.currentTarget.value)}
      >
        <option value="">{records.length === 0 ? 'none kept yet' : 'choose to fill in'}</option>
        {#each records as record (record.name)}<option>{record.name}</option>{/each}
      </select>
    </div>
    {#if taken && offer}{@render offer(taken)}{/if}
    <div>
      <label for={`${kind}-name`} class="mb-1 block text-sm text-quiet">Keep what is typed as</label>
      <div class="flex gap-2">
        <input
          id={`${kind}-name`}
          class="entry min-w-0"
          maxlength={120}
          autocomplete="off"
          placeholder={example}
          bind:value={name}
        />
        <Button color="alternative" class="min-h-11 text-ink!" disabled={name.trim() === ''} onclick={keep}>Keep</Button
        >
      </div>
    </div>
  </div>
  <p class="mt-1 text-sm text-quiet" role="status">{outcome}</p>
</section>
