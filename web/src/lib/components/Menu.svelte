<script lang="ts">
  import { fetched } from '$lib/fetched.svelte';
  import DotsHorizontalOutline from 'flowbite-svelte-icons/DotsHorizontalOutline.svelte';
  import type Dropdown from 'flowbite-svelte/Dropdown.svelte';
  import { tick, type Snippet } from 'svelte';

  interface Props {
    label: string;
    /** What stands in the menu; `close` shuts it. */
    children: Snippet<[close: () => void]>;
    class?: string;
  }
  let { label, children, class: own = '' }: Props = $props();

  const id = $props.id();
  let button = $state<HTMLButtonElement>();
  let open = $state(false);
  /** The list and what places it are fetched when a menu is opened first. */
  let List = $state.raw<typeof Dropdown>();

  async function press(event: MouseEvent): Promise<void> {
    // The open list shuts at a press elsewhere, and would take this one for such.
    event.stopPropagation();
    if (!List) {
      ({ default: List } = await fetched(() => import('flowbite-svelte/Dropdown.svelte')));
      // It shows what opens after it is there.
      await tick();
    }
    open = !open;
  }
  function close(): void {
    open = false;
    button?.focus();
  }
</script>

<button
  bind:this={button}
  type="button"
  id={`menu-${id}`}
  class={`flex min-h-9 min-w-9 cursor-pointer items-center justify-center rounded-lg hover:bg-line pointer-coarse:min-h-11 pointer-coarse:min-w-11 ${own}`}
  aria-label={label}
  aria-expanded={open}
  title={label}
  onclick={press}><DotsHorizontalOutline /></button
>
{#if List}
  <!-- The list opens at its trigger’s focus as well: it is placed at the button and listens to something that takes none. -->
  <span hidden id={`trigger-${id}`}></span>
  <List
    bind:isOpen={open}
    triggeredBy={`#trigger-${id}`}
    reference={`#menu-${id}`}
    triggerDelay={0}
    placement="bottom-end"
    role="dialog"
    aria-label={label}
    class="z-30 mt-0! border bg-card! p-1 text-ink shadow-lg!"
    onkeydown={(event: KeyboardEvent) => event.key === 'Escape' && close()}>{@render children(close)}</List
  >
{/if}
