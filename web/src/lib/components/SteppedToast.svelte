<script lang="ts">
  import { fieldAt } from '@pilgrim/core/job/document-paths';
  import { stageTitles, type StageName } from '@pilgrim/core/kernel/stage-list';
  import type { JobStore, Stepped } from '$lib/job/job-store.svelte';
  import { addressIn, reach } from '$lib/job/reach';
  import { fieldNames } from '$lib/job/sheets';
  import { goto } from '$app/navigation';
  import Notice from './Notice.svelte';

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
<Notice
  testid="stepped"
  text={`${step.how}: ${name}, ${shown(step.from)} → ${shown(step.to)}${step.others > 0 ? `, and ${step.others} more` : ''}`}
  action="Go to it"
  onaction={() => void jump()}
  onclose={() => (store.stepped = undefined)}
/>
