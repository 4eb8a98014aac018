<script lang="ts">
  import { afterNavigate, goto } from '$app/navigation';
  import { stageNames, type StageName } from '@pilgrim/core/ground/stage-names';
  import { stageTitles } from '@pilgrim/core/ground/stage-names';
  import { onMount, type ComponentProps } from 'svelte';
  import Cautions from '$lib/components/Cautions.svelte';
  import CluesPanel from '$lib/components/CluesPanel.svelte';
  import FieldGrid from '$lib/components/FieldGrid.svelte';
  import Figures from '$lib/components/Figures.svelte';
  import Findings from '$lib/components/Findings.svelte';
  import OptionBar from '$lib/components/OptionBar.svelte';
  import MotorOutline from '$lib/components/MotorOutline.svelte';
  import PlateText from '$lib/components/PlateText.svelte';
  import RowsEditor from '$lib/components/RowsEditor.svelte';
  import SaveNotice from '$lib/components/SaveNotice.svelte';
  import Spine from '$lib/components/Spine.svelte';
  import SupplyRecords from '$lib/components/SupplyRecords.svelte';
  import ThemeButton from '$lib/components/ThemeButton.svelte';
  import TrainStrip from '$lib/components/TrainStrip.svelte';
  import WorkingCard from '$lib/components/WorkingCard.svelte';
  import { useJobStore } from '$lib/job/context';
  import { reach } from '$lib/job/reach';
  import type { PageProps } from './$types';

  let { data, params }: PageProps = $props();

  const store = useJobStore();
  let hydrated = $state(false);
  onMount(() => void (hydrated = true));

  const base = $derived(`/jobs/${store.id}`);
  const stage = $derived((params.stage ?? 'situation') as StageName);
  const sheet = $derived(data.sheet);
  /** Lists of rows that are typed below a stage’s fields. */
  const lists: Partial<Record<StageName, Omit<ComponentProps<typeof RowsEditor>, 'store' | 'hydrated'>>> = {
    profile: {
      title: 'Hours a year at each flow',
      path: 'profile.points',
      row: 'step',
      cells: [
        { path: 'flow', label: 'Flow', placeholder: '70 %' },
        { path: 'hours', label: 'Hours', placeholder: '2000 h' },
      ],
      fresh: { flow: '', hours: '' },
    },
    pick: {
      title: 'Accessories and work of this option',
      path: 'pick.accessories',
      row: 'part',
      cells: [
        { path: 'part', label: 'Part', placeholder: 'Line choke' },
        { path: 'price', label: 'Price', placeholder: '480' },
      ],
      fresh: { part: '', price: '' },
    },
    supply: {
      title: 'Time bands of the tariff',
      path: 'supply.bands',
      row: 'band',
      cells: [
        { path: 'name', label: 'Band', placeholder: 'Night' },
        { path: 'price', label: 'Price', placeholder: '0.11 per kWh' },
        { path: 'share', label: 'Of its hours', placeholder: '40 %' },
      ],
      fresh: { name: '', price: '', share: '' },
    },
  };
  const list = $derived(lists[stage]);
  const asked = $derived(store.solution.stages[stage].state !== 'not asked');
  const outlines = $derived(store.solution.details.outlines);
  const next = $derived(stageNames[stageNames.indexOf(stage) + 1]);
  const name = $derived([store.document.tag, store.document.title].filter(Boolean).join(' ') || 'Untitled job');

  // A finding’s link leads to the very field.
  afterNavigate(({ to, type }) => {
    // The page brought the details of the stage it was opened at.
    if (type !== 'enter') store.warm();
    const target = to?.url.hash.slice(1);
    if (target) reach(target);
  });

  function onkeydown(event: KeyboardEvent): void {
    const typing = event.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(event.target.tagName);
    if ((event.ctrlKey || event.metaKey) && event.key === 'z' && !typing) {
      event.preventDefault();
      store.undo();
    }
    if (event.altKey && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
      const at = stageNames.indexOf(stage) + (event.key === 'ArrowDown' ? 1 : -1);
      const target = stageNames[at];
      if (!target) return;
      event.preventDefault();
      void goto(`${base}/${target}`, { noScroll: true });
    }
  }
</script>

<svelte:head><title>{name} · {stageTitles[stage]} · Pilgrim</title></svelte:head>
<!-- The first sign of a person starts the solver; its figures of the other stages are there when they are looked at. -->
<svelte:window {onkeydown} onpointermove={() => store.warm()} />

<header class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b bg-card px-4 py-2">
  <a href="/" class="flex items-center gap-2 text-lg font-bold"
    ><img src="/favicon.svg" alt="" class="size-7" />Pilgrim</a
  >
  <p class="min-w-0 flex-1 basis-48 truncate text-sm text-quiet" title={`${store.document.site} › ${name}`}>
    {#if store.document.site}<a class="hover:underline" href={`/sites/${encodeURIComponent(store.document.site)}`}
        >{store.document.site}</a
      ><span>&nbsp;›&nbsp;</span>{/if}<strong class="text-base text-ink">{name}</strong>
  </p>
  <SaveNotice {store} />
  <button
    type="button"
    class="min-h-11 rounded-full border px-3 text-sm hover:bg-wash disabled:text-quiet"
    disabled={!hydrated || store.undoable === 0}
    onclick={() => store.undo()}>Undo</button
  >
  <ThemeButton {hydrated} />
  <a
    href={`${base}/sheet`}
    class="flex min-h-11 items-center rounded-lg bg-primary-700 px-4 text-sm font-semibold text-white hover:bg-primary-800"
    >Selection sheet</a
  >
</header>

{#if store.trouble}
  <p role="alert" class="border-b bg-caution-wash px-4 py-2 text-sm text-caution" data-testid="trouble">
    △ {store.trouble}
  </p>
{/if}

<TrainStrip train={store.solution.train} {base} />
<OptionBar {store} {hydrated} />

<div class="grid md:grid-cols-[13.5rem_minmax(0,1fr)] lg:grid-cols-[13.5rem_minmax(0,1fr)_18rem]">
  <Spine stages={store.solution.stages} current={stage} {base} />

  <main id="main" class="min-w-0 p-4" onfocusin={() => store.warm()}>
    <h1 class="text-xl font-bold">{stageTitles[stage]}</h1>
    <p class="mb-4 text-quiet">{sheet.lead}</p>
    {#if !asked}
      <p class="mb-4 rounded-lg border bg-card px-4 py-2 text-sm" data-testid="not-asked">
        Not asked for “{store.solution.values['situation.kind']?.text ?? ''}”. What was typed here is kept, and counts
        again when the situation changes.
      </p>
    {/if}
    <div class="grid grid-cols-[minmax(0,1fr)] items-start gap-x-6 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div>
        {#key stage}
          {#if stage === 'nameplate'}<PlateText
              {store}
              {hydrated}
              fields={sheet.fields}
              reader={(text: string) => store.readPlate(text)}
            />{/if}
          {#if stage === 'supply'}<SupplyRecords {store} {hydrated} />{/if}
          <FieldGrid fields={sheet.fields} {store} {hydrated} />
        {/key}
        {#if list}<div class="mt-6"><RowsEditor {store} {hydrated} {...list} /></div>{/if}
      </div>
      {#if stage === 'nameplate' && (outlines.old || store.solution.details.clues.length > 0)}
        <div class="space-y-4">
          <Figures
            values={store.solution.values}
            {stage}
            declared={sheet.values}
            currency={store.document.currency}
            whole={(id: string) => store.whole(id)}
          />
          <CluesPanel clues={store.solution.details.clues} />
          <MotorOutline {...outlines} school={store.document.school} />
        </div>
      {:else}
        <Figures
          values={store.solution.values}
          {stage}
          declared={sheet.values}
          currency={store.document.currency}
          whole={(id: string) => store.whole(id)}
        />
      {/if}
      {#if stage === 'protection' || stage === 'handover'}<Cautions />{/if}
      {#if data.Panel}<data.Panel {store} {hydrated} {base} />{/if}
    </div>
    <p class="mt-6 flex flex-wrap gap-3">
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

  <aside class="border-s bg-paper md:col-span-2 lg:col-span-1">
    <Findings findings={store.solution.findings} missing={store.solution.missing} {base} />
  </aside>
</div>

<WorkingCard />
{#if store.rival}
  {#await import('$lib/components/ConflictDialog.svelte') then { default: ConflictDialog }}
    <ConflictDialog {store} />
  {/await}
{/if}
