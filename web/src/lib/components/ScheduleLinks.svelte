<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';

  /** `base` is the address of the job or the site. */
  let { base, of }: { base: string; of: string } = $props();

  const formats = [
    ['pdf', 'PDF'],
    ['xlsx', 'XLSX'],
    ['csv', 'CSV'],
  ] as const;
</script>

<section class="flex flex-wrap items-center gap-2 rounded-lg border bg-card px-3 py-2" aria-label="Schedules">
  <p class="min-w-0 flex-1 basis-64 text-sm">
    <strong>Cables, devices, panels and settings</strong> of {of} as schedules, for who buys, wires and sets. A stopped job
    is left out and told.
  </p>
  <div class="flex gap-2">
    {#each formats as [format, name] (format)}
      <Button
        href={`${base}/schedules.${format}`}
        color="alternative"
        class="min-h-9 px-3! text-ink! pointer-coarse:min-h-11"
        data-sveltekit-reload
        aria-label={`Schedules as ${name}`}>{name}</Button
      >
    {/each}
  </div>
</section>
