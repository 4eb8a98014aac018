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
  import { tick } from 'svelte';
  import { closeWorking, working } from './working.svelte';

  const WIDTH = 380;
  let card = $state<HTMLElement>();
  let formula = $state('');
  let place = $state('');

  const originTexts = {
    given: 'given',
    derived: 'derived',
    'looked up': 'looked up in the catalogue',
    recalled: 'from a table recalled from memory; the printed standard decides',
    estimated: 'an estimate',
    chosen: 'chosen by rule',
  } as const;

  $effect(() => {
    const { shown } = working;
    if (!shown) return;
    formula = '';
    void render(shown.value.working.formula).then(async () => {
      await tick();
      put(shown.anchor);
      card?.focus();
    });
  });

  /** Under its figure where there is room, else above it. */
  function put(anchor: HTMLElement): void {
    const box = anchor.getBoundingClientRect();
    const height = card?.offsetHeight ?? 200;
    const left = Math.max(8, Math.min(box.left, innerWidth - WIDTH - 8));
    const below = box.bottom + 8;
    const top = below + height > innerHeight ? Math.max(8, box.top - height - 8) : below;
    place = `left:${left}px; top:${top}px`;
  }

  async function render(tex: string): Promise<void> {
    if (tex === '') return;
    const katex = await import('katex');
    formula = katex.default.renderToString(tex, { output: 'mathml', throwOnError: false, displayMode: true });
  }

  function onkeydown(event: KeyboardEvent): void {
    if (event.key === 'Escape' && working.shown) closeWorking();
  }

  function onpointerdown(event: PointerEvent): void {
    if (working.shown && !card?.contains(event.target as Node)) working.shown = undefined;
  }
</script>

<svelte:window {onkeydown} {onpointerdown} />

{#if working.shown}
  {@const { label, value } = working.shown}
  <div
    bind:this={card}
    role="dialog"
    aria-label={`Working of ${label}`}
    tabindex="-1"
    class="fixed z-50 max-h-[80vh] w-[380px] max-w-[calc(100vw-1rem)] overflow-auto rounded-lg bg-gray-800 p-4 text-sm text-gray-50 shadow-xl dark:border dark:border-gray-500"
    style={place}
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
        <caption class="sr-only">Figures put in</caption>
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
    <p class="text-gray-300">Source: {value.working.source}</p>
    {#if value.working.note}<p class="mt-1 text-gray-100">{value.working.note}</p>{/if}
    <button type="button" class="mt-2 min-h-11 underline" onclick={closeWorking}>Close</button>
  </div>
{/if}
