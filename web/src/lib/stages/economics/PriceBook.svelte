<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import type { ViewProps } from '$lib/stages/views';
  import { bookFields, type PricedPart, type SiteRecord } from '$lib/job/site-records';
  import SiteRecords from '$lib/components/SiteRecords.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const PATH = 'pick.accessories';
  const partsOf = ({ document }: SiteRecord): readonly PricedPart[] =>
    Array.isArray(document['parts']) ? (document['parts'] as PricedPart[]) : [];
  const typed = (): PricedPart[] =>
    Array.from({ length: store.rowCount(PATH) }, (_, at) => ({
      part: String(store.get(`${PATH}.${at}.part`) ?? '').trim(),
      price: store.get(`${PATH}.${at}.price`) as PricedPart['price'],
    })).filter(({ part }) => part !== '');

  function take({ document }: SiteRecord): void {
    store.setMany(
      Object.fromEntries(
        bookFields.flatMap((name) => {
          const value = document[name];
          return typeof value === 'string' || typeof value === 'number' ? [[`money.${name}`, value]] : [];
        }),
      ),
    );
  }
  const book = (): object => ({
    ...Object.fromEntries(
      bookFields.flatMap((name) => {
        const value = store.get(`money.${name}`);
        return value === undefined || value === '' ? [] : [[name, value]];
      }),
    ),
    parts: typed(),
  });
</script>

<SiteRecords {store} kind="prices" title="Prices" example="2026" {take} document={book}>
  {#snippet offer(record: SiteRecord)}
    {#if partsOf(record).length > 0}
      <div>
        <p class="mb-1 text-sm text-quiet">Parts and work in it; one goes to this option at a click</p>
        <ul class="flex flex-wrap gap-1.5">
          {#each partsOf(record) as { part, price }, at (at)}
            <li>
              <Button
                size="xs"
                color="alternative"
                class="min-h-8 text-ink! pointer-coarse:min-h-11"
                onclick={() => store.addRow(PATH, { part, price: String(price ?? '') })}
                >{part}{price ? ` · ${price}` : ''}</Button
              >
            </li>
          {/each}
        </ul>
      </div>
    {/if}
  {/snippet}
</SiteRecords>
