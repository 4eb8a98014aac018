<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import TableCard from '$lib/components/TableCard.svelte';

  let { store }: { store: JobStore } = $props();

  const pictures = $derived(store.solution.details.drivePictures);
  const states = {
    proven: { mark: '✓', word: 'proven', colour: 'text-good' },
    assumed: { mark: '≈', word: 'assumed', colour: 'text-quiet' },
    ask: { mark: '?', word: 'to be asked', colour: 'text-caution' },
    fails: { mark: '✕', word: 'does not do', colour: 'text-stop' },
  } as const;
  let said = $state('');
  async function copy(): Promise<void> {
    await navigator.clipboard.writeText(pictures?.letter ?? '').then(
      () => (said = 'Copied'),
      () => (said = 'The browser does not allow copying: mark the text instead.'),
    );
  }
</script>

{#if pictures}
  <TableCard
    label="Motor and drive compatibility"
    caption={`Motor on this drive: ${store.solution.values['drive.verdict']?.text ?? ''}`}
  >
    <tbody>
      {#each pictures.proofs as proof (proof.of)}
        <tr class="border-t" data-proof={proof.state}>
          <th scope="row" class="px-3 py-1.5 text-left font-normal whitespace-nowrap text-quiet">{proof.of}</th>
          <td class={`px-2 font-semibold whitespace-nowrap ${states[proof.state].colour}`}
            >{states[proof.state].mark} {states[proof.state].word}</td
          >
          <td class="w-full px-2 py-1.5">{proof.says}</td>
        </tr>
      {/each}
    </tbody>
    {#snippet foot()}
      {#if pictures.letter}
        <details class="border-t px-3 py-2">
          <summary class="min-h-8 cursor-pointer text-sm text-sea pointer-coarse:min-h-11"
            >Letter to the manufacturer</summary
          >
          <pre class="mt-1 font-sans text-sm whitespace-pre-wrap" data-letter>{pictures.letter}</pre>
          <Button
            color="alternative"
            class="mt-2 min-h-9 px-3! text-ink! pointer-coarse:min-h-11"
            onclick={() => void copy()}>Copy the letter</Button
          >
          <span class="text-sm text-quiet" role="status">{said}</span>
        </details>
      {/if}
    {/snippet}
  </TableCard>
{/if}
