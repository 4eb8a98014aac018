<script lang="ts">
  import { letters, type Letter } from '@pilgrim/core/job/places';
  import type { JobStore } from '$lib/job/job-store.svelte';

  let { store, hydrated }: { store: JobStore; hydrated: boolean } = $props();

  const options = $derived(store.solution.options);
  const shown = $derived(letters.filter((letter) => options[letter]));
  const chosen = $derived(store.solution.chosen);
  const best = $derived(store.solution.comparison.best?.option);
  const own = $derived(shown.filter((letter) => !options[letter]?.proposed));
  const stateOf = (letter: Letter): string => {
    const option = options[letter];
    if (option?.stopped) return '■ stopped';
    return option?.decided ? (letter === best && shown.length > 1 ? '★ least cost' : '✓ decided') : '… open';
  };
  const button = 'min-h-11 rounded-lg border px-3 text-sm hover:bg-wash disabled:text-quiet';
</script>

<section aria-label="Options" class="flex flex-wrap items-center gap-2 border-b bg-paper px-4 py-2">
  {#each shown as letter (letter)}
    {@const option = options[letter]}
    <div
      class={`flex max-w-md min-w-0 items-center rounded-lg border ${option?.proposed ? 'border-dashed' : ''} ${letter === chosen ? 'border-sea bg-card' : ''}`}
      data-option={letter}
    >
      <button
        type="button"
        class="flex min-h-11 min-w-0 items-center gap-2 px-3 text-sm disabled:text-quiet"
        aria-pressed={letter === chosen}
        disabled={!hydrated}
        title={option?.why || option?.summary}
        onclick={() => store.choose(letter)}
      >
        <strong>{letter}</strong>
        <span class="truncate">{option?.name}</span>
        <span class="text-xs whitespace-nowrap text-quiet"
          >{option?.proposed && option.decided && letter !== best
            ? 'proposed'
            : `${option?.proposed ? 'proposed · ' : ''}${stateOf(letter)}`}</span
        >
      </button>
      {#if option?.proposed}
        <button
          type="button"
          class="min-h-11 border-s px-3 text-sm text-sea hover:bg-wash disabled:text-quiet"
          disabled={!hydrated}
          aria-label={`Take option ${letter}`}
          onclick={() => store.take(letter)}>Take</button
        >
      {/if}
      {#if option?.proposed || own.length > 1}
        <button
          type="button"
          class="min-h-11 border-s px-3 text-sm hover:bg-wash disabled:text-quiet"
          disabled={!hydrated}
          aria-label={`Drop option ${letter}`}
          onclick={() => store.dropOption(letter)}>×</button
        >
      {/if}
    </div>
  {/each}
  <label class="flex items-center gap-2 text-sm text-quiet"
    >Name
    <input
      type="text"
      class="entry w-44"
      maxlength={60}
      autocomplete="off"
      disabled={!hydrated}
      placeholder={options[chosen]?.name}
      bind:value={() => store.document.options[chosen]?.name ?? '', (name: string) => store.nameOption(chosen, name)}
    /></label
  >
  <button
    type="button"
    class={button}
    disabled={!hydrated || store.free.length === 0}
    onclick={() => store.copyOption()}>Copy {chosen}</button
  >
</section>
