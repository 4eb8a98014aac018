<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';

  let { store, hydrated }: { store: JobStore; hydrated: boolean } = $props();

  let outcome = $state('');

  const getText = (): string => String(store.get('nameplate.asRead') ?? '');

  async function readIt(): Promise<void> {
    const { fields, ignored, school } = await store.readPlate(getText());
    const found = Object.entries(fields).filter(([name]) => name !== 'asRead');
    if (found.length === 0) {
      outcome = 'Nothing could be read. Write it like: HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 SF 1.15';
      return;
    }
    store.setMany({ school, ...Object.fromEntries(found.map(([name, value]) => [`nameplate.${name}`, value])) });
    outcome = `${found.length} fields read.${ignored.length > 0 ? ` Not understood: ${ignored.join(', ')}.` : ''}`;
  }
</script>

<div class="mb-4">
  <label for="field-nameplate-asRead" class="mb-1 block text-sm text-quiet">Whole plate as text</label>
  <textarea
    id="field-nameplate-asRead"
    rows={3}
    maxlength={5000}
    class="entry"
    placeholder="HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 SF 1.15 CODE G DES B FR 254T"
    bind:value={getText, (value: string) => store.set('nameplate.asRead', value)}></textarea>
  <div class="mt-2 flex items-center gap-3">
    <Button
      color="alternative"
      class="min-h-11 text-ink!"
      disabled={!hydrated || getText().trim() === ''}
      onclick={readIt}>Read into the fields</Button
    >
    <p class="text-sm text-quiet" role="status">{outcome}</p>
  </div>
</div>
