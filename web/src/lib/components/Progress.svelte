<script lang="ts">
  import Progressbar from 'flowbite-svelte/Progressbar.svelte';

  /** `share` of 1 that is done. */
  let { share, label }: { share: number; label: string } = $props();

  const percent = $derived(Math.round(share * 100));
</script>

<Progressbar
  progress={percent}
  class="grow"
  role="progressbar"
  aria-label={label}
  aria-valuenow={percent}
  aria-valuemin={0}
  aria-valuemax={100}
/>
