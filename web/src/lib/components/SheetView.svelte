<script lang="ts">
  import { fetched } from '$lib/fetched.svelte';
  import type { SelectionSheet } from '@pilgrim/core/solve/sheet';

  import Cautions from './Cautions.svelte';

  let { sheet }: { sheet: SelectionSheet } = $props();

  const stops = $derived(sheet.findings.filter((finding) => finding.severity === 'stop'));
  const others = $derived(sheet.findings.filter((finding) => finding.severity !== 'stop'));
</script>

<article class="rounded-lg border bg-card p-5 lg:col-span-2" aria-label="Selection sheet">
  <header class="border-b pb-3">
    <p class="text-sm text-quiet">{sheet.site}</p>
    <h2 class="text-xl font-bold">{sheet.title}</h2>
    <p
      class={`mt-1 text-base font-semibold ${stops.length > 0 ? 'text-stop' : sheet.ready ? 'text-good' : 'text-caution'}`}
      data-testid="decision"
    >
      {stops.length > 0 ? '■' : sheet.ready ? '✓' : '△'}
      {sheet.decision}
    </p>
  </header>

  {#each stops as stop, index (index)}
    <p class="mt-3 border-s-4 border-s-stop bg-stop-wash px-3 py-2 text-sm">
      <strong>Stop.</strong>
      {stop.message}
      {stop.clear}
    </p>
  {/each}

  <div class="mt-4 grid gap-x-8 gap-y-4 sm:grid-cols-2">
    {#each sheet.sections as section (section.title)}
      <section>
        <h3 class="border-b text-sm font-semibold text-quiet">{section.title}</h3>
        <dl>
          {#each section.rows as row, at (at)}
            <div class="flex gap-3 py-0.5 text-sm">
              <dt class="grow text-quiet">{row.label}</dt>
              <dd class="text-right">
                <span class={row.assumed ? 'italic' : ''}>{row.text}</span>{#if row.other}<span class="text-quiet"
                    >&nbsp;· {row.other}</span
                  >{/if}
              </dd>
            </div>
          {/each}
        </dl>
      </section>
    {/each}
  </div>

  {#if sheet.compared.heads.length > 0}
    <h3 class="mt-4 border-b text-sm font-semibold text-quiet">Comparison of options</h3>
    <table class="mt-1 w-full text-sm" aria-label="Comparison of options">
      <thead>
        <tr>
          <th class="py-0.5 text-left font-normal"><span class="sr-only">Figure</span></th>
          {#each sheet.compared.heads as head (head)}<th scope="col" class="px-2 text-left">{head}</th>{/each}
        </tr>
      </thead>
      <tbody>
        {#each sheet.compared.rows as row (row.label)}
          <tr class="border-t align-top">
            <th scope="row" class="py-0.5 text-left font-normal text-quiet">{row.label}</th>
            {#each row.texts as text, at (at)}
              <td class={`px-2 ${row.best[at] ? 'font-semibold' : ''}`}
                >{text}{#if row.best[at]}&nbsp;★<span class="sr-only">best</span>{/if}</td
              >
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
    {#each sheet.compared.verdict as line (line)}<p class="mt-1 text-sm">{line}</p>{/each}
  {/if}
  {#if sheet.reasons.length > 0}
    <h3 class="mt-4 border-b text-sm font-semibold text-quiet">Why</h3>
    <ul class="mt-1 list-disc ps-5 text-sm">
      {#each sheet.reasons as reason (reason)}<li>{reason}</li>{/each}
    </ul>
  {/if}
  {#if others.length > 0}
    <h3 class="mt-4 border-b text-sm font-semibold text-quiet">Open findings</h3>
    <ul class="mt-1 space-y-1 text-sm">
      {#each others as finding, index (index)}
        <li>
          <strong class={finding.severity === 'caution' ? 'text-caution' : 'text-sea'}
            >{finding.severity === 'caution' ? 'Caution' : 'Note'}.</strong
          >
          {finding.message} <span class="text-quiet">{finding.basis}</span>
        </li>
      {/each}
    </ul>
  {/if}
  {#each [{ title: 'Needed for a decision', list: sheet.needed }, { title: 'Improves accuracy', list: sheet.sharpens }] as { title, list } (title)}
    {#if list.length > 0}
      <h3 class="mt-4 border-b text-sm font-semibold text-quiet">{title}</h3>
      <ul class="mt-1 list-disc ps-5 text-sm">
        {#each list as missing (missing)}<li>{missing}</li>{/each}
      </ul>
    {/if}
  {/each}
  {#if sheet.settings.length > 0}
    <h3 class="mt-4 border-b text-sm font-semibold text-quiet" style="break-before: page">Drive settings</h3>
    <table class="mt-1 w-full text-sm" aria-label="Drive settings">
      <thead>
        <tr class="text-quiet">
          <th scope="col" class="py-0.5 text-left font-normal">Setting</th>
          <th scope="col" class="px-2 text-left font-normal">Calculated</th>
          <th scope="col" class="px-2 text-left font-normal">From</th>
          <th scope="col" class="w-40 px-2 text-left font-normal">As left</th>
        </tr>
      </thead>
      <tbody>
        {#each sheet.settings as setting (setting.id)}
          <tr class="border-t align-top">
            <th scope="row" class="py-0.5 text-left font-normal text-quiet">{setting.name}</th>
            <td class="px-2 py-0.5 font-semibold">{setting.value}</td>
            <td class="px-2 py-0.5 text-quiet">{setting.from}</td>
            <td class={`border-b border-dotted px-2 ${setting.differs ? 'font-semibold text-stop' : ''}`}
              >{setting.asSet ?? ''}{setting.differs ? ' ✕ differs' : ''}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  {#if sheet.scheme}
    {@const { scheme } = sheet}
    <div class="mt-4 break-before-page">
      {#await fetched(() => import('./Diagrams.svelte')) then { default: Diagrams }}<Diagrams {scheme} />{/await}
    </div>
  {/if}
  {#if sheet.note}<p class="mt-4 text-sm whitespace-pre-line">{sheet.note}</p>{/if}

  <div class="mt-4"><Cautions /></div>
  <p class="mt-3 text-sm text-quiet" data-testid="solved-by">
    Solved by {sheet.engine}{sheet.catalogue ? ` with the catalogue “${sheet.catalogue}”` : ', catalogue not recorded'}.
  </p>
  {#if sheet.preparedBy}<p class="mt-3 text-sm text-quiet">Prepared by {sheet.preparedBy}</p>{/if}
</article>
