<script lang="ts">
  import { cautions, deferral } from '@pilgrim/core/stages/documents/cautions';
</script>

<section class="border-2 border-caution bg-card p-3 text-sm" aria-label="Cautions">
  <h3 class="font-semibold text-caution">Safety cautions</h3>
  <ul class="mt-1 list-disc ps-5">
    {#each cautions as caution (caution)}<li>{caution}</li>{/each}
  </ul>
  <p class="mt-2 font-semibold">{deferral}</p>
</section>
