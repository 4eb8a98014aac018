<script lang="ts">
  import type { Readout } from '@pilgrim/core/solve/readouts';

  let { limit }: { limit: NonNullable<Readout['limit']> } = $props();

  const percent = (share: number): string => `${(100 * share).toFixed(1)}%`;
</script>

<!-- A figure as a bar, with its limit as a mark. -->
<span class="gauge" data-missed={limit.missed} aria-hidden="true"
  ><span style={`width:${percent(limit.filled)}`}></span><i style={`left:${percent(limit.mark)}`}></i></span
>
