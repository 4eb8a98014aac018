<script lang="ts">
  import type { EChartsCoreOption } from 'echarts/core';
  import { grips, type Handle } from '$lib/charts/handles';

  interface Props {
    option: EChartsCoreOption;
    label: string;
    height?: number;
    /** What can be dragged; the same figures can be typed elsewhere. */
    handles?: readonly Handle[];
  }
  let { option, label, height = 260, handles = [] }: Props = $props();

  let drawn = $state(false);
  let frame = $state<HTMLElement>();
  let said = $state('');

  const svg = (): SVGSVGElement | null => frame?.querySelector('svg') ?? null;
  async function keep(as: 'SVG' | 'PNG' | 'CSV'): Promise<void> {
    const { csvOf, savePng, saveSvg } = await import('$lib/charts/keep-picture');
    const picture = svg();
    if (as === 'CSV') {
      await navigator.clipboard.writeText(csvOf(option)).then(
        () => (said = 'Copied'),
        () => (said = 'The browser does not allow copying'),
      );
    } else if (picture && as === 'SVG') saveSvg(picture, label);
    else if (picture) await savePng(picture, label);
  }

  function draw(node: HTMLElement) {
    let closed = false;
    let dispose = (): void => undefined;
    void import('$lib/charts/echarts').then(({ drawSoon, init }) => {
      if (closed) return;
      const chart = init(node, undefined, { renderer: 'svg' });
      const held = grips(chart, () => handles);
      const resize = new ResizeObserver(() => {
        chart.resize();
        held.place();
      });
      resize.observe(node);
      let shown = '';
      const stop = $effect.root(() => {
        $effect(() => {
          const newest = option;
          // Every keystroke solves anew; most leave the picture as it was.
          const picture = JSON.stringify(newest);
          if (picture === shown) return;
          shown = picture;
          drawSoon(chart, () => {
            if (closed) return;
            held.draw(newest);
            drawn = true;
          });
        });
      });
      dispose = () => {
        stop();
        resize.disconnect();
        chart.dispose();
      };
    });
    return () => {
      closed = true;
      dispose();
    };
  }
</script>

<div class="group relative" bind:this={frame}>
  <div
    role="img"
    aria-label={label}
    data-drawn={drawn}
    class="w-full"
    style={`height:${height}px`}
    {@attach draw}
  ></div>
  {#if drawn}
    <p
      class="no-print absolute end-0 bottom-0 flex items-center gap-1 text-xs text-quiet opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 pointer-coarse:static pointer-coarse:opacity-100"
    >
      <span role="status">{said}</span>
      {#each ['SVG', 'PNG', 'CSV'] as const as as (as)}
        <button
          type="button"
          class="min-h-6 min-w-8 rounded border bg-card px-1.5 hover:bg-wash pointer-coarse:min-h-11"
          aria-label={as === 'CSV' ? 'Copy the figures as CSV' : `Save the picture as ${as}`}
          onclick={() => void keep(as)}>{as}</button
        >
      {/each}
    </p>
  {/if}
</div>
