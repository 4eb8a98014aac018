<script lang="ts">
  import type { EChartsCoreOption, EChartsType } from 'echarts/core';
  import { untrack } from 'svelte';
  import { settled } from '$lib/charts/colours';
  import { paint } from '$lib/charts/painter';
  import { fetched } from '$lib/fetched.svelte';
  import { inTurn } from '$lib/deferred.svelte';
  import { grips, type Grips, type Handle } from '$lib/charts/handles';

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

  /**
   * Until a hand comes near, the picture is drawn beside the page (`painter.ts`): a chart that can be pointed at and dragged
   * takes the browser longer than everything else of a page. One that has handles becomes so at the first sign of a hand.
   */
  let live = $state(false);
  // Every keystroke solves anew; most leave the picture as it was.
  const still = $derived(settled(option));
  const picture = $derived(JSON.stringify(still));
  const points = $derived(JSON.stringify(handles.map(({ at, yAxis = 0 }) => ({ at, yAxis }))));

  function drawStill(node: HTMLElement) {
    let begun = $state(false);
    let width = $state(0);
    let busy = false;
    let again = false;
    let closed = false;
    async function paintNewest(): Promise<void> {
      again = busy;
      if (busy) return;
      busy = true;
      try {
        const svg = await paint({ option: picture, grips: points, width, height });
        if (closed) return;
        node.innerHTML = svg;
        drawn = true;
      } catch {
        live = true;
      }
      busy = false;
      if (again) void paintNewest();
    }
    const resize = new ResizeObserver(() => (width = node.clientWidth));
    resize.observe(node);
    inTurn(() => (begun = true));
    const stop = $effect.root(() => {
      $effect(() => {
        if (!begun || width === 0) return;
        void [picture, points];
        untrack(() => void paintNewest());
      });
    });
    return () => {
      closed = true;
      stop();
      resize.disconnect();
    };
  }

  function drawLive(node: HTMLElement) {
    let closed = false;
    let dispose = (): void => undefined;
    void fetched(
      () => import('$lib/charts/echarts'),
      () => !closed,
    ).then((echarts) => {
      if (closed || !echarts) return;
      const { drawSoon, init } = echarts;
      let chart: EChartsType | undefined;
      let held: Grips | undefined;
      const resize = new ResizeObserver(() => {
        chart?.resize();
        held?.place();
      });
      resize.observe(node);
      const stop = $effect.root(() => {
        $effect(() => {
          void picture;
          drawSoon(node, () => {
            if (closed) return;
            if (!chart) node.replaceChildren();
            chart ??= init(node, undefined, { renderer: 'svg' });
            held ??= grips(chart, () => handles);
            held.draw(still);
            drawn = true;
          });
        });
      });
      dispose = () => {
        stop();
        resize.disconnect();
        chart?.dispose();
      };
    });
    return () => {
      closed = true;
      dispose();
    };
  }
</script>

<svelte:window onpointermove={() => (live ||= handles.length > 0)} />

<div
  class="group relative"
  bind:this={frame}
  role="presentation"
  onpointerenter={() => (live = true)}
  onfocusin={() => (live = true)}
>
  <div
    role="img"
    aria-label={label}
    data-drawn={drawn}
    class="w-full"
    style={`height:${height}px`}
    data-live={live}
    {@attach live ? drawLive : drawStill}
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
