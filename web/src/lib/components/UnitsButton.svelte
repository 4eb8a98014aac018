<script lang="ts">
  import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
  import { units } from '$lib/units.svelte';

  /** `own` are the units shown until somebody chooses; undefined in a list whose rows each have their own. */
  let { own }: { own?: StandardsSystem } = $props();

  const shown = $derived(units.wanted ?? own ?? 'own');
  const names = { NEMA: 'hp · lb·ft', IEC: 'kW · N·m', own: 'units of each' } as const;
  const next = { own: 'NEMA', NEMA: 'IEC', IEC: 'own' } as const;
  const other = $derived(own ? (shown === 'NEMA' ? 'IEC' : 'NEMA') : next[shown]);
</script>

<button
  type="button"
  class="min-h-9 rounded-full border px-3 text-sm whitespace-nowrap hover:bg-wash disabled:text-quiet pointer-coarse:min-h-11"
  aria-label={`Units: ${names[shown]}. Show ${names[other]}`}
  title={`Show ${names[other]}; what was typed stays as it is`}
  data-units={shown}
  onclick={() => units.show(other === 'own' ? undefined : other)}>{names[shown]}</button
>
