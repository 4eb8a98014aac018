<script lang="ts" module>
  const names: Readonly<Record<string, string>> = {
    '\\eta': 'η',
    '\\eta_t': 'ηₜ',
    '\\cos\\varphi': 'cos φ',
    '\\eta_{class}': 'η class',
    '\\vartheta': 'ambient, °C',
    '\\theta': 'rise, K',
  };

  /** A TeX symbol as plain text for the table of figures. */
  const plain = (symbol: string): string => names[symbol] ?? symbol.replaceAll(/[\\{}]/g, '').replaceAll('_', ' ');
</script>

<script lang="ts">
  import Popover from 'flowbite-svelte/Popover.svelte';
  import { stageTitles, type StageName } from '@pilgrim/core/kernel/stage-list';
  import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
  import { tick } from 'svelte';
  import { fieldNames } from '$lib/job/sheets';
  import { closeWorking, working, type Shown } from './working.svelte';

  let { shown, school = 'IEC' }: { shown: Shown; school?: StandardsSystem } = $props();
  const { label, value } = $derived(shown);

  let formula = $state('');
  let open = $state(false);

  const originTexts = {
    given: 'given',
    derived: 'derived',
    'looked up': 'looked up in the catalogue',
    recalled: 'from a table recalled from memory; the printed standard decides',
    estimated: 'an estimate',
    chosen: 'chosen by rule',
  } as const;

  /** What each assumed field is called; its stages are fetched with the first card that names one. */
  let called = $state.raw<ReadonlyMap<string, string>>(new Map());
  const nameOf = (path: string): string => called.get(path) ?? path;
  $effect(() => {
    const stages = new Set(value.assumes?.map((path) => path.split('.')[0] as StageName));
    if (stages.size > 0) void fieldNames(stageTitles, school, [...stages]).then((all) => (called = all));
  });
  const assumed = $derived((value.assumes ?? []).map(nameOf).join('; '));
  const evidenceTexts = {
    given: 'Rests on what was typed.',
    declared: 'Rests on nameplate, data sheet, catalogue or standard.',
    assumed: 'Rests on an assumption.',
  } as const;

  $effect(() => {
    shown.anchor.dataset['worked'] = '';
    void render(shown.value.working.formula).then(() => (open = true));
    return () => delete shown.anchor.dataset['worked'];
  });
  /** What is open takes the focus; what was read from gets it back, unless a press elsewhere took it. */
  const focused = (card: HTMLElement): void => void tick().then(() => card.focus());
  function ontoggle({ newState, target }: ToggleEvent): void {
    if (newState !== 'closed' || working.shown !== shown) return;
    const at = document.activeElement;
    if (at === document.body || (target instanceof Node && target.contains(at))) closeWorking();
    else working.shown = undefined;
  }

  async function render(tex: string): Promise<void> {
    if (tex === '') return;
    const katex = await import('katex');
    formula = katex.default.renderToString(tex, { output: 'mathml', throwOnError: false, displayMode: true });
  }
</script>

<!-- It is opened by the figures; the trigger it must have takes no press. -->
<span hidden id="trigger-working"></span>
<Popover
  bind:isOpen={open}
  triggeredBy="#trigger-working"
  reference="[data-worked]"
  trigger="click"
  triggerDelay={0}
  placement="bottom-start"
  arrow={false}
  role="dialog"
  aria-label={`Derivation of ${label}`}
  tabindex={-1}
  class="z-50 max-h-[80vh] w-[380px] max-w-[calc(100vw-1rem)] overflow-auto! bg-gray-800! text-sm text-gray-50! shadow-xl! dark:border-gray-500!"
  classes={{ content: 'p-4!' }}
  {ontoggle}
  {@attach focused}
>
  <p class="font-semibold">{label}</p>
  {#if formula}
    <!-- KaTeX escapes its input; the TeX comes from the core, never from a user. -->
    <!-- eslint-disable-next-line svelte/no-at-html-tags -->
    <div class="overflow-x-auto py-3 text-base">{@html formula}</div>
  {/if}
  <p class="text-base">
    <strong>{value.text}</strong>{#if value.other}<span class="text-gray-300">&nbsp;· {value.other}</span>{/if}
  </p>
  {#if value.working.inputs.length > 0}
    <table class="my-2 w-full">
      <caption class="sr-only">Input values</caption>
      <tbody>
        {#each value.working.inputs as input (input.symbol)}
          <tr>
            <th scope="row" class="pe-3 text-left font-normal text-gray-300">{plain(input.symbol)}</th>
            <td class="pe-3 text-right">{input.text}</td>
            <td class="text-gray-300">{input.origin}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  <p class="text-gray-300">This figure is {originTexts[value.origin]}.</p>
  <p class="text-gray-300" data-testid="evidence">
    {value.evidence ? evidenceTexts[value.evidence] : 'What it rests on is not traced.'}
    {#if assumed !== ''}Type to replace it: {assumed}.{/if}
  </p>
  <p class="text-gray-300">Source: {value.working.source}</p>
  {#if value.working.note}<p class="mt-1 text-gray-100">{value.working.note}</p>{/if}
  <div class="mt-2 flex gap-4">
    <button type="button" class="min-h-11 underline" onclick={closeWorking}>Close</button>
    <a
      class="flex min-h-11 items-center underline"
      href={`/glossary?q=${encodeURIComponent(label.replace(/ \(.*\)$/, ''))}`}
      target="glossary">Definition</a
    >
  </div>
</Popover>
