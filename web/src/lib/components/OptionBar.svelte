<script lang="ts">
  import CloseOutline from 'flowbite-svelte-icons/CloseOutline.svelte';
  import { letters, type Letter } from '@pilgrim/core/job/document-paths';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import Menu from './Menu.svelte';

  let { store }: { store: JobStore } = $props();

  const options = $derived(store.solution.options);
  const shown = $derived(letters.filter((letter) => options[letter]));
  const chosen = $derived(store.solution.chosen);
  const best = $derived(store.solution.comparison.best?.option);
  const own = $derived(shown.filter((letter) => !options[letter]?.proposed));
  const stateOf = (letter: Letter): readonly [mark: string, said: string] => {
    const option = options[letter];
    if (option?.stopped) return ['■', 'stopped'];
    if (!option?.decided) return ['…', 'open'];
    return letter === best && shown.length > 1 ? ['★', 'least cost'] : ['✓', 'decided'];
  };
  const small = 'min-h-8 min-w-8 shrink-0 px-2 text-sm hover:bg-wash disabled:text-quiet pointer-coarse:min-h-11';
</script>

<section aria-label="Options" class="flex min-w-0 items-end gap-1 self-end">
  <div class="flex min-w-0 items-end gap-1 overflow-x-auto">
    {#each shown as letter (letter)}
      {@const option = options[letter]}
      {@const [mark, said] = stateOf(letter)}
      <div
        class={`flex min-w-0 shrink items-center rounded-t-lg border border-b-0 ${option?.proposed ? 'border-dashed' : ''} ${letter === chosen ? 'border-t-4 border-t-copper bg-card' : 'bg-paper'}`}
        data-option={letter}
      >
        <button
          type="button"
          class="flex min-h-9 min-w-0 items-center gap-1.5 px-2.5 text-sm disabled:text-quiet pointer-coarse:min-h-11"
          aria-pressed={letter === chosen}
          title={[option?.name, option?.why || option?.summary].filter(Boolean).join(': ')}
          onclick={() => store.choose(letter)}
        >
          <strong>{letter}</strong>
          <span class={`max-w-32 truncate ${letter === chosen ? 'font-semibold' : ''}`}>{option?.name}</span>
          <span aria-hidden="true">{mark}</span>
          <span class="sr-only">{option?.proposed ? 'proposed, ' : ''}{said}</span>
        </button>
        {#if option?.proposed}
          <button
            type="button"
            class={`${small} text-sea`}
            aria-label={`Take option ${letter}`}
            onclick={() => store.take(letter)}>Take</button
          >
        {/if}
        {#if option?.proposed || own.length > 1}
          <button
            type="button"
            class={small}
            aria-label={`Drop option ${letter}`}
            onclick={() => store.dropOption(letter)}><CloseOutline size="sm" class="mx-auto" /></button
          >
        {/if}
      </div>
    {/each}
  </div>
  <Menu label={`Name or copy option ${chosen}`}>
    {#snippet children(close: () => void)}
      <div class="grid w-64 gap-2 p-2">
        <label class="text-sm text-quiet"
          >Name
          <input
            type="text"
            class="entry mt-1"
            maxlength={60}
            autocomplete="off"
            placeholder={options[chosen]?.name}
            bind:value={
              () => store.document.options[chosen]?.name ?? '', (name: string) => store.nameOption(chosen, name)
            }
          /></label
        >
        <button
          type="button"
          class="min-h-11 rounded-lg border px-3 text-sm hover:bg-wash disabled:text-quiet"
          disabled={store.free.length === 0}
          onclick={() => {
            store.copyOption();
            close();
          }}>Copy {chosen}</button
        >
      </div>
    {/snippet}
  </Menu>
</section>
