<script lang="ts">
  import { afterNavigate, goto } from '$app/navigation';
  import { isAsked } from '@pilgrim/core/stages/task/requested';
  import { stageNames, type StageName } from '@pilgrim/core/kernel/stage-list';
  import { stageTitles } from '@pilgrim/core/kernel/stage-list';
  import Findings from '$lib/components/Findings.svelte';
  import InTurn from '$lib/components/InTurn.svelte';
  import OptionBar from '$lib/components/OptionBar.svelte';
  import SaveNotice from '$lib/components/SaveNotice.svelte';
  import Spine from '$lib/components/Spine.svelte';
  import ThemeButton from '$lib/components/ThemeButton.svelte';
  import TrainStrip from '$lib/components/TrainStrip.svelte';
  import UnitsButton from '$lib/components/UnitsButton.svelte';
  import { working } from '$lib/components/working.svelte';
  import { isAway } from '$lib/fetched.svelte';
  import { useJobStore } from '$lib/job/context';
  import { countOf, countsOf } from '$lib/job/finding-counts';
  import { addressIn, reach } from '$lib/job/reach';
  import { sheetOf } from '$lib/job/sheets';
  import { viewOfStage } from '$lib/stages/views';
  import type { PageProps } from './$types';

  let { data, params }: PageProps = $props();

  const store = useJobStore();

  const base = $derived(`/jobs/${store.id}`);
  const stage = $derived((params.stage ?? 'situation') as StageName);
  $effect.pre(() => void (store.at = stage));
  $effect(() => store.turnUnits());
  const sheet = $derived(data.sheet);
  const found = $derived(store.solution.findings);
  /** An option without a drive says so itself. */
  const asked = $derived(isAsked(store.document, stage));
  const next = $derived(stageNames[stageNames.indexOf(stage) + 1]);
  const name = $derived([store.document.tag, store.document.title].filter(Boolean).join(' ') || 'Untitled job');

  // A finding’s link leads to the very field.
  afterNavigate(({ to, type }) => {
    // The page brought the details of the stage it was opened at.
    if (type !== 'enter') void store.warm();
    const target = to?.url.hash.slice(1);
    if (target) reach(target);
  });

  let showKeys = $state(false);
  /** ms without a key or a move after which the code of other stages holds nothing up. */
  const LULL = 1000;
  let fetched = false;
  let lull: ReturnType<typeof setTimeout> | undefined;
  /** The first sign of a person: figures, then code of the other stages are there when they are looked at, server or not. */
  function ahead(): void {
    void store.warm();
    if (fetched) return;
    clearTimeout(lull);
    lull = setTimeout(() => {
      fetched = true;
      // What cannot be fetched now is asked for again when it is looked at.
      for (const name of stageNames) void Promise.all([sheetOf(name), viewOfStage(name)]).catch(() => undefined);
    }, LULL);
  }

  /** To what stands between the job and its decision: the next entry that is needed, else the sheet. */
  function toNextNeeded(): void {
    const at = document.activeElement?.id ?? '';
    const needed = [
      ...store.solution.missing.filter(({ kind }) => kind === 'needed'),
      ...store.solution.findings.filter(({ severity, field }) => severity === 'stop' && field !== undefined),
    ].map(({ field = '', stage: own }) => addressIn(base, field, own));
    const next = needed.find((address) => !address.endsWith(`#${at}`));
    if (!next) document.getElementById('sheet')?.focus();
    // The same address twice would not be gone to.
    else if (location.pathname + location.hash === next) reach(next.split('#')[1] ?? '');
    else void goto(next, { noScroll: true });
  }

  function onkeydown(event: KeyboardEvent): void {
    ahead();
    const typing = event.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(event.target.tagName);
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !typing) {
      event.preventDefault();
      if (event.shiftKey) store.redo();
      else store.undo();
    }
    if ((event.ctrlKey || event.metaKey) && event.key === 'y' && !typing) {
      event.preventDefault();
      store.redo();
    }
    if (event.key === '?' && !typing) showKeys = true;
    if (event.altKey && event.key === 'Enter') {
      event.preventDefault();
      toNextNeeded();
    }
    // In a list of choices it opens the list.
    if (
      event.altKey &&
      !(event.target instanceof HTMLSelectElement) &&
      (event.key === 'ArrowDown' || event.key === 'ArrowUp')
    ) {
      const at = stageNames.indexOf(stage) + (event.key === 'ArrowDown' ? 1 : -1);
      const target = stageNames[at];
      if (!target) return;
      event.preventDefault();
      void goto(`${base}/${target}`, { noScroll: true });
    }
  }
</script>

<svelte:head><title>{name} · {stageTitles[stage]} · Pilgrim</title></svelte:head>
<svelte:window {onkeydown} onpointermove={ahead} onfocusout={() => store.history.settle()} />

<div class="bench-page">
  <div class="head border-b bg-card">
    <header class="flex flex-wrap items-center gap-x-3 px-3 pt-1.5 max-md:gap-y-1">
      <a href="/" class="flex items-center gap-2 text-lg font-bold"
        ><img src="/favicon.svg" alt="" class="size-7" />Pilgrim</a
      >
      <p class="min-w-0 flex-1 basis-40 truncate text-sm text-quiet" title={`${store.document.site} › ${name}`}>
        {#if store.document.site}<a class="hover:underline" href={`/sites/${encodeURIComponent(store.document.site)}`}
            >{store.document.site}</a
          ><span>&nbsp;›&nbsp;</span>{/if}<strong class="text-base text-ink">{name}</strong>
      </p>
      <OptionBar {store} />
      <div class="tools flex flex-wrap items-center gap-2 pb-1.5 max-sm:gap-1">
        <SaveNotice {store} />
        <button
          type="button"
          class="min-h-9 rounded-full border px-3 text-sm hover:bg-wash disabled:text-quiet pointer-coarse:min-h-11"
          disabled={store.history.undoable === 0}
          onclick={() => store.undo()}>Undo</button
        >
        {#if store.history.redoable > 0}
          <button
            type="button"
            class="min-h-9 rounded-full border px-3 text-sm hover:bg-wash pointer-coarse:min-h-11"
            onclick={() => store.redo()}>Redo</button
          >
        {/if}
        <UnitsButton own={store.document.school} />
        <ThemeButton />
        <a
          href={`${base}/sheet`}
          id="sheet"
          class="flex min-h-9 items-center rounded-lg bg-primary-700 px-3 text-sm font-semibold whitespace-nowrap text-white hover:bg-primary-800 pointer-coarse:min-h-11"
          aria-label="Selection sheet"
          ><span class="sm:hidden">Sheet</span><span class="max-sm:hidden">Selection sheet</span></a
        >
      </div>
    </header>
    {#if isAway()}
      <p role="status" class="border-t bg-caution-wash px-4 py-1.5 text-sm text-caution" data-testid="away">
        △ The server does not answer; what was asked for comes as soon as it does.
      </p>
    {/if}
    {#if store.trouble}
      <p role="alert" class="border-t bg-caution-wash px-4 py-1.5 text-sm text-caution" data-testid="trouble">
        △ {store.trouble}
      </p>
    {/if}
    <div class="max-md:hidden"><InTurn><TrainStrip train={store.solution.train} {base} /></InTurn></div>
  </div>

  <InTurn><Spine stages={store.solution.stages} current={stage} {base} /></InTurn>

  <main id="main" class="bench min-w-0 p-3" onfocusin={() => void store.warm()}>
    <div class="mb-2 flex flex-wrap items-baseline gap-x-3">
      <h1 class="text-lg font-bold">{stageTitles[stage]}</h1>
      <p class="text-sm text-quiet">{sheet.lead}</p>
      <!-- Beside a narrow work there is no room for what is wrong: it stands under it, and here is told and led to. -->
      <a
        href="#findings"
        class={`ms-auto flex min-h-9 items-center text-sm font-semibold underline underline-offset-4 lg:hidden pointer-coarse:min-h-11 ${countOf(found, 'stop') > 0 ? 'text-stop' : countOf(found, 'caution') > 0 ? 'text-caution' : 'text-sea'}`}
        >{countOf(found, 'stop') > 0 ? '■ ' : countOf(found, 'caution') > 0 ? '△ ' : ''}{countsOf(found)}</a
      >
    </div>
    {#if !asked}
      <p class="mb-3 rounded-lg border bg-card px-4 py-2 text-sm" data-testid="not-asked">
        Not asked for “{store.solution.values['situation.kind']?.text ?? ''}”. What was typed here is kept, and counts
        again when the situation changes.
      </p>
    {/if}
    {#key stage}<InTurn><data.View {store} {base} {sheet} /></InTurn>{/key}
    <p class="mt-4 flex flex-wrap gap-3">
      {#if next}
        <a class="flex min-h-11 items-center rounded-lg border px-4 text-sea hover:bg-wash" href={`${base}/${next}`}
          >Next: {stageTitles[next]}</a
        >
      {:else}
        <a class="flex min-h-11 items-center rounded-lg border px-4 text-sea hover:bg-wash" href={`${base}/sheet`}
          >Open the selection sheet</a
        >
      {/if}
    </p>
  </main>

  <aside class="findings border-s bg-paper" id="findings" tabindex="-1" aria-label="What is wrong and what is missing">
    <InTurn><Findings {store} {stage} {base} /></InTurn>
  </aside>
</div>

{#if working.shown}
  {#await import('$lib/components/WorkingCard.svelte') then { default: WorkingCard }}
    {#key working.shown}<WorkingCard shown={working.shown} school={store.school} />{/key}
  {/await}
{/if}
{#if store.done}
  {#await import('$lib/components/DoneToast.svelte') then { default: DoneToast }}<DoneToast {store} />{/await}
{/if}
{#if store.stepped}
  {#await import('$lib/components/SteppedToast.svelte') then { default: SteppedToast }}
    {#if store.stepped}<SteppedToast {store} {base} step={store.stepped} />{/if}
  {/await}
{/if}
{#if showKeys}
  {#await import('$lib/components/KeysDialog.svelte') then { default: KeysDialog }}
    <KeysDialog bind:open={showKeys} />
  {/await}
{/if}
{#if store.rival}
  {#await import('$lib/components/ConflictDialog.svelte') then { default: ConflictDialog }}
    <ConflictDialog {store} />
  {/await}
{/if}
