<script lang="ts">
  interface Props {
    /** Of its travel. */
    open: number;
    /** Of full speed. */
    turning: number;
    /** Of full flow. */
    flow: number;
    damper?: boolean;
  }
  let { open, turning, flow, damper = false }: Props = $props();

  const blades = [0, 60, 120, 180, 240, 300];
  /** A damper turned across the duct closes it. */
  const tilt = $derived(90 * (1 - open));
  const arrows = $derived(Math.max(1, Math.round(flow * 5)));
</script>

<svg
  viewBox="0 0 320 110"
  class="h-32 w-full"
  role="img"
  aria-label={`Blower, ${Math.round(flow * 100)} % of full flow`}
>
  <circle cx="70" cy="48" r="42" class="fill-wash stroke-ink" stroke-width="2" />
  <path d="M70 6H300M98 78H300" class="fill-none stroke-ink" stroke-width="2" />
  {#each blades as angle (angle)}
    <path
      d="M70 48q14 -6 18 -24"
      class="fill-none stroke-copper"
      stroke-width="3"
      transform={`rotate(${angle + 40 * turning} 70 48)`}
    />
  {/each}
  <circle cx="70" cy="48" r="6" class="fill-ink" />
  {#if damper}
    <line
      x1="190"
      y1="16"
      x2="190"
      y2="70"
      class="stroke-copper"
      stroke-width="5"
      stroke-linecap="round"
      transform={`rotate(${90 - tilt} 190 43)`}
    />
    <circle cx="190" cy="43" r="4" class="fill-ink" />
  {/if}
  {#each { length: arrows }, at (at)}
    <path d={`M${225 + 14 * at} 37l8 6l-8 6`} class="fill-none stroke-sea" stroke-width="2.5" />
  {/each}
  <text x="70" y="107" class="fill-current text-[13px]" text-anchor="middle">{Math.round(turning * 100)} % speed</text>
  <text x="252" y="106" class="fill-current text-[13px]" text-anchor="middle">{(flow * 100).toFixed(0)} % flow</text>
</svg>
