<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import Modal from 'flowbite-svelte/Modal.svelte';
  import { fieldAt } from '@pilgrim/core/job/document-paths';
  import { clashes, merge, type Side } from '$lib/job/conflict';
  import { stageTitles } from '@pilgrim/core/kernel/stage-list';
  import { fieldNames } from '$lib/job/sheets';
  import type { JobStore } from '$lib/job/job-store.svelte';

  let { store }: { store: JobStore } = $props();

  let names = $state.raw<ReadonlyMap<string, string>>(new Map());
  $effect(() => {
    if (store.rival) void fieldNames(stageTitles, store.school).then((all) => (names = all));
  });

  let sides = $state<Record<string, Side>>({});

  const rival = $derived(store.rival);
  const rows = $derived(rival ? clashes(store.common, $state.snapshot(store.document), rival.document) : []);
  const nameOf = (place: string): string => {
    const { path, letter } = fieldAt(place);
    const name = names.get(path) ?? path;
    return letter ? `Option ${letter} · ${name}` : name;
  };
  const sideOf = (path: string): Side => sides[path] ?? 'mine';

  function save(): void {
    if (!rival) return;
    store.resolve(merge(store.common, $state.snapshot(store.document), rival.document, sideOf));
    sides = {};
  }
</script>

<Modal
  open={rival !== undefined}
  permanent
  size="lg"
  title="Somebody saved this job before you"
  aria-label="Somebody saved this job before you"
  class="bg-card!"
  classes={{ header: 'text-ink!', body: 'text-ink!' }}
>
  <p>Nothing is lost. What only one of you changed is joined; choose what should stand where both did, then save.</p>
  <div class="max-h-[50vh] overflow-auto">
    <table class="w-full text-sm">
      <thead>
        <tr class="text-left text-quiet"
          ><th class="py-1 pe-3 font-normal">Field</th><th class="pe-3 font-normal">Yours</th><th class="font-normal"
            >Saved by somebody else, revision {rival?.revision}</th
          ></tr
        >
      </thead>
      <tbody>
        {#each rows as row (row.path)}
          <tr class="border-t" data-conflict={row.path}>
            <th scope="row" class="py-1 pe-3 text-left font-normal">{nameOf(row.path)}</th>
            {#each ['mine', 'theirs'] as const as side (side)}
              <td class="pe-3">
                <label class="flex min-h-11 items-center gap-2">
                  <input
                    type="radio"
                    class="size-5 text-sea"
                    name={row.path}
                    checked={sideOf(row.path) === side}
                    onchange={() => (sides[row.path] = side)}
                  />
                  <span class="break-words">{row[side] || '(empty)'}</span>
                </label>
              </td>
            {/each}
          </tr>
        {:else}
          <tr><td colspan="3" class="py-2">Both versions say the same; save to go on.</td></tr>
        {/each}
      </tbody>
    </table>
  </div>
  <Button class="min-h-11" onclick={save}>Save what is chosen</Button>
</Modal>
