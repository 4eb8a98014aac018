<script lang="ts">
  import { fetched } from '$lib/fetched.svelte';
  import type { Finding } from '@pilgrim/core';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import { stageTitles } from '@pilgrim/core/kernel/stage-list';
  import type { StageName } from '@pilgrim/core/kernel/stage-list';
  import { fieldAt } from '@pilgrim/core/job/document-paths';
  import { countOf, countsOf } from '$lib/job/finding-counts';
  import { addressIn, fieldId, reach } from '$lib/job/reach';

  interface Props {
    store: JobStore;
    stage: StageName;
    base: string;
  }
  let { store, stage, base }: Props = $props();

  const findings = $derived(store.solution.findings);
  const here = $derived(findings.filter((finding) => finding.stage === stage));
  const elsewhere = $derived(findings.filter((finding) => finding.stage !== stage));
  const missing = $derived(store.solution.missing);

  const lists = $derived(
    [
      { title: 'Needed for a decision', list: missing.filter(({ kind }) => kind === 'needed') },
      { title: 'Improves accuracy', list: missing.filter(({ kind }) => kind === 'sharpens') },
    ].filter(({ list }) => list.length > 0),
  );
  const looks = {
    stop: { edge: 'border-s-stop', word: 'Stop', colour: 'text-stop' },
    caution: { edge: 'border-s-caution', word: 'Caution', colour: 'text-caution' },
    note: { edge: 'border-s-sea', word: 'Note', colour: 'text-sea' },
  } as const;
  const shown = (field: string): string => fieldAt(field).path;
  const href = (field: string, own: string): string => addressIn(base, field, own);
  let opened = $state(false);
  /** The drawer is fetched when it is opened first. */
  let asked = $state(false);
  let heading = $state<HTMLElement>();
  /** The finding goes with its button: the focus stays at the list, and what was done is told, with its undo. */
  function mend(label: string, set: Parameters<JobStore['setMany']>[0]): void {
    store.setMany(set);
    store.done = label;
    heading?.focus();
  }
  const titleOf = (stage: string): string => stageTitles[stage as StageName];
</script>

{#snippet one(finding: Finding)}
  {@const look = looks[finding.severity]}
  <article class={`rounded-lg border border-s-4 bg-card p-2.5 text-sm ${look.edge}`} data-finding={finding.code}>
    <p class={`text-xs font-semibold ${look.colour}`}>{look.word} · {titleOf(finding.stage)}</p>
    <p class="mt-0.5 leading-snug">{finding.message}</p>
    <p class="mt-1 text-xs text-quiet">{finding.basis}</p>
    {#if finding.mends}
      <p class="mt-1.5 flex flex-wrap gap-1.5">
        {#each finding.mends as { label, set } (label)}
          <button
            type="button"
            class="min-h-8 rounded-lg bg-primary-700 px-3 font-semibold text-white hover:bg-primary-800 disabled:opacity-60 pointer-coarse:min-h-11"
            onclick={() => mend(label, set)}>{label}</button
          >
        {/each}
      </p>
    {/if}
    {#if finding.field}
      <a
        class="mt-1 inline-block py-1 text-sea underline"
        href={href(finding.field, finding.stage)}
        onclick={() => {
          opened = false;
          reach(fieldId(shown(finding.field ?? '')));
        }}>{finding.clear}</a
      >
    {:else}
      <p class="mt-1 text-xs">{finding.clear}</p>
    {/if}
  </article>
{/snippet}

<section aria-label="Findings" class="space-y-2 p-3">
  <h2
    class="text-sm font-semibold text-quiet"
    aria-live="polite"
    tabindex="-1"
    bind:this={heading}
    data-testid="findings-count"
  >
    Here: {countsOf(here)}
  </h2>
  {#each here as finding, index (`${finding.code}-${finding.field ?? ''}-${index}`)}{@render one(finding)}{/each}
  {#if elsewhere.length > 0}
    <button
      type="button"
      class={`min-h-9 text-left text-sm font-semibold underline decoration-dotted underline-offset-4 pointer-coarse:min-h-11 ${countOf(elsewhere, 'stop') > 0 ? 'text-stop' : 'text-quiet'}`}
      aria-haspopup="dialog"
      onclick={() => (asked = opened = true)}
      >{countOf(elsewhere, 'stop') > 0 ? '■ ' : ''}Elsewhere: {countsOf(elsewhere)}</button
    >
  {/if}
  {#each lists as { title, list } (title)}
    <h2 class="pt-2 text-sm font-semibold text-quiet">{title}</h2>
    <ul class="space-y-1 text-sm" data-missing={title}>
      {#each list as each (each.field)}
        <li>
          <a
            class="inline-block py-0.5 text-sea underline"
            href={href(each.field, each.stage)}
            onclick={() => reach(fieldId(shown(each.field)))}>{each.message}</a
          >
        </li>
      {/each}
    </ul>
  {/each}
</section>

{#if asked}
  {#await fetched(() => import('flowbite-svelte/Drawer.svelte')) then { default: Drawer }}
    <Drawer
      bind:open={opened}
      placement="right"
      class="w-96! max-w-full! bg-paper! text-ink"
      aria-label="Findings in other stages"
      onoutroend={({ currentTarget }) => currentTarget.close()}
    >
      <div class="space-y-2">
        <h2 class="pe-10 text-lg font-bold">Elsewhere: {countsOf(elsewhere)}</h2>
        {#each elsewhere as finding, index (`${finding.code}-${finding.field ?? ''}-${index}`)}{@render one(
            finding,
          )}{/each}
      </div>
    </Drawer>
  {/await}
{/if}
