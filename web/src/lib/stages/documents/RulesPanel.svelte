<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { practiceNames } from '@pilgrim/core/job/design-rule-list';
  import type { ViewProps } from '$lib/stages/views';
  import TableCard from '$lib/components/TableCard.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const rules = $derived(store.solution.details.rules);
  const origins = { default: 'default', site: 'the site’s', job: 'this job’s' } as const;
  let outcome = $state('');

  async function takeSite(): Promise<void> {
    const response = await fetch(`/api/sites?name=${encodeURIComponent(store.document.site)}`).catch(() => undefined);
    if (!response?.ok) {
      outcome = response?.status === 404 ? 'The site has no page yet.' : 'The site cannot be asked just now.';
      return;
    }
    const { practice } = (await response.json()) as { practice: Readonly<Record<string, string>> };
    store.setMany(Object.fromEntries(practiceNames.map((name) => [`sitePractice.${name}`, practice[name]])));
    outcome = 'Adopted. Undo reverses it.';
  }
</script>

<TableCard label="Design rules used" caption="Design rules used in this job">
  <thead>
    <tr class="text-left text-quiet">
      <th scope="col" class="px-3 py-1.5 font-normal">Rule</th>
      <th scope="col" class="px-3 text-right font-normal">Value</th>
      <th scope="col" class="px-3 font-normal">From</th>
      <th scope="col" class="px-3 font-normal">Why</th>
    </tr>
  </thead>
  <tbody>
    {#each rules as rule (rule.name)}
      <tr class="border-t align-top" data-rule={rule.name}>
        <th scope="row" class="px-3 py-1.5 text-left font-normal">{rule.title}</th>
        <td class="px-3 py-1.5 text-right whitespace-nowrap">{rule.text}</td>
        <td class={`px-3 py-1.5 whitespace-nowrap ${rule.from === 'default' ? 'text-quiet' : 'font-semibold text-sea'}`}
          >{origins[rule.from]}</td
        >
        <td class="px-3 py-1.5 text-quiet">{rule.why}</td>
      </tr>
    {/each}
  </tbody>
  {#snippet foot()}
    {#if store.document.site}
      <p class="flex flex-wrap items-center gap-3 border-t px-3 py-2 text-sm">
        <a class="text-sea underline" href={`/sites/${encodeURIComponent(store.document.site)}`}
          >Rules of {store.document.site}</a
        >
        <Button color="alternative" size="sm" class="min-h-11 text-ink!" onclick={takeSite}
          >Adopt the current site rules</Button
        >
        <span role="status" class="text-quiet">{outcome}</span>
      </p>
    {/if}
  {/snippet}
</TableCard>
