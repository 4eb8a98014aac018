<script lang="ts">
  import type { EChartsCoreOption } from 'echarts/core';

  let { option, label, height = 260 }: { option: EChartsCoreOption; label: string; height?: number } = $props();

  let drawn = $state(false);

  function draw(node: HTMLElement) {
    let closed = false;
    let dispose = (): void => undefined;
    void import('$lib/charts/echarts').then(({ drawSoon, init }) => {
      if (closed) return;
      const chart = init(node, undefined, { renderer: 'svg' });
      const resize = new ResizeObserver(() => chart.resize());
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
            chart.setOption(newest, { notMerge: true });
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

<div role="img" aria-label={label} data-drawn={drawn} class="w-full" style={`height:${height}px`} {@attach draw}></div>
