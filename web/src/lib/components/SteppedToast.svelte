<script lang="ts">
  import CloseOutline from 'flowbite-svelte-icons/CloseOutline.svelte';
  import Toast from 'flowbite-svelte/Toast.svelte';
  import { fieldAt } from '@pilgrim/core/job/document-paths';
  import { stageTitles, type StageName } from '@pilgrim/core/kernel/stage-list';
  import type { JobStore, Stepped } from '$lib/job/job-store.svelte';
  import { addressIn, reach } from '$lib/job/reach';
  import { fieldNames } from '$lib/job/sheets';
  import { goto } from '$app/navigation';

  let { store, base, step }: { store: JobStore; base: string; step: Stepped } = $props();

  const path = $derived(fieldAt(step.path).path);
  const stage = $derived(path.split('.')[0] ?? '');
  let name = $state('');
  $effect(() => {
    const of = path;
    const stages = stage in stageTitles ? [stage as StageName] : (['situation'] as const);
    void fieldNames(stageTitles, store.school, stages).then((all) => (name = all.get(of) ?? of));
  });
  const shown = (text: string): string => (text === '' ? 'empty' : text.length > 40 ? `${text.slice(0, 39)}…` : text);

  async function jump(): Promise<void> {
    const address = addressIn(base, step.path, store.at);
    await goto(address, { noScroll: true });
    reach(address.split('#')[1] ?? '');
  }
</script>

<!-- What an undo or redo changed, with the way there. -->
<Toast
  dismissable={false}
  class="fixed end-4 bottom-4 z-40 flex items-center gap-3 border bg-card! p-2! ps-4! text-ink!"
  data-testid="stepped"
>
  <span class="me-3" role="status"
    >{step.how}: {name}, {shown(step.from)} → {shown(step.to)}{step.others > 0 ? `, and ${step.others} more` : ''}</span
  >
  <button
    type="button"
    class="min-h-9 px-2 font-semibold text-sea underline pointer-coarse:min-h-11"
    onclick={() => void jump()}>Go to it</button
  >
  <button
    type="button"
    class="min-h-9 min-w-9 rounded hover:bg-wash pointer-coarse:min-h-11"
    aria-label="Put away"
    onclick={() => (store.stepped = undefined)}><CloseOutline class="mx-auto" /></button
  >
</Toast>
