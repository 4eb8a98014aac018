<script lang="ts">
  import Table from 'flowbite-svelte/Table.svelte';
  import type { Snippet } from 'svelte';

  interface Props {
    /** Name of the region, where it is not the caption. */
    label: string;
    caption?: string | undefined;
    /** The rows of the table: its head and body. */
    children: Snippet;
    /** What stands under the table. */
    foot?: Snippet;
    class?: string;
  }
  let { label, caption, children, foot, class: more = '' }: Props = $props();
</script>

<!-- A table on a card that scrolls sideways by itself, by keyboard too. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<section
  tabindex="0"
  class={`@container relative overflow-x-auto rounded-lg border bg-card ${more}`}
  aria-label={label}
>
  <Table class="w-full text-sm text-ink!" classes={{ div: 'overflow-visible!' }}>
    {#if caption}
      <caption class="border-b px-4 py-2 text-left text-sm font-semibold text-quiet">{caption}</caption>
    {/if}
    {@render children()}
  </Table>
  {@render foot?.()}
</section>
