<script lang="ts">
  import CloseOutline from 'flowbite-svelte-icons/CloseOutline.svelte';
  import Toast from 'flowbite-svelte/Toast.svelte';

  interface Props {
    text: string;
    /** What its button says and does. */
    action: string;
    onaction: () => void;
    onclose: () => void;
    testid: string;
  }
  let { text, action, onaction, onclose, testid }: Props = $props();
</script>

<!-- What was just changed, in a corner, with one thing to do about it. -->
<Toast
  dismissable={false}
  class="fixed end-4 bottom-4 z-40 max-w-[calc(100vw-2rem)]! border bg-card! p-2! ps-4! text-ink! sm:max-w-lg!"
  data-testid={testid}
>
  <div class="flex items-center gap-3">
    <span class="min-w-0" role="status">{text}</span>
    <button
      type="button"
      class="min-h-9 px-2 font-semibold whitespace-nowrap text-sea underline pointer-coarse:min-h-11"
      onclick={onaction}>{action}</button
    >
    <button
      type="button"
      class="min-h-9 min-w-9 rounded hover:bg-wash pointer-coarse:min-h-11"
      aria-label="Put away"
      onclick={onclose}><CloseOutline class="mx-auto" /></button
    >
  </div>
</Toast>
