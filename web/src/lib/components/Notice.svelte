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
  class="fixed end-4 bottom-4 z-40 flex items-center gap-3 border bg-card! p-2! ps-4! text-ink!"
  data-testid={testid}
>
  <span class="me-3" role="status">{text}</span>
  <button type="button" class="min-h-9 px-2 font-semibold text-sea underline pointer-coarse:min-h-11" onclick={onaction}
    >{action}</button
  >
  <button
    type="button"
    class="min-h-9 min-w-9 rounded hover:bg-wash pointer-coarse:min-h-11"
    aria-label="Put away"
    onclick={onclose}><CloseOutline class="mx-auto" /></button
  >
</Toast>
