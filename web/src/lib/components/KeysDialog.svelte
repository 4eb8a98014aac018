<script lang="ts">
  import Modal from 'flowbite-svelte/Modal.svelte';

  let { open = $bindable() }: { open: boolean } = $props();

  const keys = [
    ['Tab', 'to the next field; the order is that of the plate'],
    ['Alt + ↓, Alt + ↑', 'to the next and the previous stage'],
    ['Alt + Enter', 'to the next entry that is needed; to the sheet where none is'],
    ['Enter on a dotted figure', 'its working; Esc closes it'],
    ['F1 in a field', 'its definition, clause and other names'],
    ['Ctrl + Z, Ctrl + Y', 'undo and redo, when no field has the focus'],
    ['← → on a slider', 'turns it a step'],
    ['/', 'to the search, on the first page'],
    ['?', 'these keys'],
  ] as const;
</script>

<Modal
  bind:open
  size="sm"
  title="Keys"
  aria-label="Keys"
  class="bg-card!"
  classes={{ header: 'text-ink!', body: 'text-ink!' }}
>
  <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2 text-sm">
    {#each keys as [key, does] (key)}
      <dt class="font-semibold whitespace-nowrap">{key}</dt>
      <dd>{does}</dd>
    {/each}
  </dl>
</Modal>
