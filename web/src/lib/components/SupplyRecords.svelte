<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { onMount } from 'svelte';
  import type { FieldValue } from '$lib/job/field-host';
  import type { JobStore } from '$lib/job/job-store.svelte';

  interface SupplyRecord {
    readonly name: string;
    readonly supply: Readonly<Record<string, FieldValue>>;
  }
  let { store, hydrated }: { store: JobStore; hydrated: boolean } = $props();

  let records = $state.raw<readonly SupplyRecord[]>([]);
  let name = $state('');
  let outcome = $state('');

  async function look(): Promise<void> {
    const response = await fetch(`/api/supplies?site=${encodeURIComponent(store.document.site)}`).catch(
      () => undefined,
    );
    if (response?.ok) records = (await response.json()) as SupplyRecord[];
  }
  onMount(() => void look());

  function take(chosen: string): void {
    const record = records.find((each) => each.name === chosen);
    if (!record) return;
    const own = Object.keys(store.document.supply).map((field) => [field, undefined] as const);
    const defaults = { phases: '3', source: 'transformer' };
    const fields = { ...Object.fromEntries(own), ...defaults, ...record.supply };
    store.setMany(Object.fromEntries(Object.entries(fields).map(([field, value]) => [`supply.${field}`, value])));
    outcome = `${record.name} is filled in; Undo takes it back.`;
  }

  async function keep(): Promise<void> {
    const response = await fetch('/api/supplies', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ site: store.document.site, name, supply: $state.snapshot(store.document.supply) }),
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

<section class="mb-4 rounded-lg border bg-card p-3" aria-label="Supplies of the site">
  <div class="grid gap-3">
    <div>
      <label for="supply-record" class="mb-1 block text-sm text-quiet"
        >Supplies of {store.document.site || 'the site'}</label
      >
      <select
        id="supply-record"
        class="entry"
        disabled={!hydrated || records.length === 0}
        value=""
        onchange={(event) => take(event.currentTarget.value)}
      >
        <option value="">{records.length === 0 ? 'none kept yet' : 'choose to fill in'}</option>
        {#each records as record (record.name)}<option>{record.name}</option>{/each}
      </select>
    </div>
    <div>
      <label for="supply-name" class="mb-1 block text-sm text-quiet">Keep what is typed as</label>
      <div class="flex gap-2">
        <input
          id="supply-name"
          class="entry min-w-0"
          maxlength={120}
          autocomplete="off"
          placeholder="Bus 2"
          bind:value={name}
        />
        <Button color="alternative" class="min-h-11 text-ink!" disabled={!hydrated || name.trim() === ''} onclick={keep}
          >Keep</Button
        >
      </div>
    </div>
  </div>
  <p class="mt-1 text-sm text-quiet" role="status">{outcome}</p>
</section>
