<script lang="ts">
  import type { Outline, Misfit } from '@pilgrim/core/stages/nameplate/outline';

  interface Props {
    old: Outline | undefined;
    fresh?: Outline | undefined;
    misfits?: readonly Misfit[];
    school: 'NEMA' | 'IEC';
    oldName?: string;
    freshName?: string;
  }
  let { old, fresh, misfits = [], school, oldName = 'Old motor', freshName = 'New motor' }: Props = $props();

  interface Drawn {
    readonly outline: Outline;
    readonly height: number;
    readonly along: number;
    readonly shoulder: number;
    readonly shaft: number;
    readonly diameter: number;
    readonly across: number;
  }
  const drawn = (outline: Outline): Drawn => ({
    outline,
    height: outline.height,
    along: Math.max(...outline.along, outline.height * 0.8),
    shoulder: outline.shoulder ?? outline.height * 0.45,
    shaft: outline.shaftLength ?? outline.height * 0.45,
    diameter: outline.shaftDiameter ?? outline.height * 0.2,
    across: outline.across ?? outline.height * 1.6,
  });

  const first = $derived(old ?? fresh);
  const a = $derived(first && drawn(first));
  const b = $derived(old && fresh ? drawn(fresh) : undefined);
  const all = $derived([a, b].filter((each) => each !== undefined));

  // Side view to the left, view on the shaft end to the right; millimetres, y downwards from the floor.
  const mm = (metres: number): number => metres * 1000;
  const shaftEnd = $derived(Math.max(0, ...all.map((each) => mm(each.shoulder + each.shaft))));
  const back = $derived(Math.max(0, ...all.map((each) => mm(each.along * 1.35 + each.height * 0.35))));
  const tall = $derived(Math.max(0, ...all.map((each) => mm(each.height * 1.95))));
  const wide = $derived(Math.max(0, ...all.map((each) => mm(Math.max(each.across * 1.15, each.height * 1.9)))));
  const gap = $derived(tall * 0.6);
  const margin = $derived(tall * 0.22);
  const width = $derived(back + shaftEnd + gap + wide + 2 * margin);
  const size = $derived(Math.max(width, tall * 2.2) / 40);
  const height = $derived(tall + 1.6 * margin + size * 2);
  const floor = $derived(margin + tall);
  /** Where the front foot hole stands in the side view. */
  const front = $derived(margin + back);
  const middle = $derived(margin + back + shaftEnd + gap + wide / 2);

  const show = (metres: number): string =>
    school === 'NEMA' ? `${Number((metres / 0.0254).toFixed(3))} in` : `${Number(mm(metres).toFixed(1))} mm`;
  const rows = $derived(
    first
      ? ([
          ['Shaft height', 'height', [first.height], fresh && old ? [fresh.height] : []],
          ['Foot holes, across', 'across', [first.across], fresh && old ? [fresh.across] : []],
          ['Foot holes, along', 'along', first.along, fresh && old ? fresh.along : []],
          ['Shoulder to foot hole', 'shoulder', [first.shoulder], fresh && old ? [fresh.shoulder] : []],
          ['Shaft diameter', 'diameter', [first.shaftDiameter], fresh && old ? [fresh.shaftDiameter] : []],
          ['Shaft length', 'length', [first.shaftLength], fresh && old ? [fresh.shaftLength] : []],
        ] as const)
      : [],
  );
  const list = (values: readonly (number | undefined)[]): string =>
    values
      .filter((value) => value !== undefined)
      .map(show)
      .join(' or ') || 'not standard';
  const differs = (x: readonly (number | undefined)[], y: readonly (number | undefined)[]): boolean =>
    y.length > 0 &&
    !x.some((p) => y.some((q) => (p === undefined) === (q === undefined) && Math.abs((p ?? 0) - (q ?? 0)) < 0.0008));
</script>

{#if a && first}
  <figure class="rounded-lg border bg-card p-3" data-outline={b ? 'both' : 'one'}>
    <figcaption class="text-sm font-semibold text-quiet">
      Mounting of {first.frame}{#if b}, and over it {b.outline.frame} <span class="text-copper">in copper</span>{/if}
    </figcaption>
    <svg
      viewBox={`0 0 ${width} ${height}`}
      class="mt-1 w-full"
      role="img"
      aria-label={`Side view and end view: shaft height ${show(first.height)}${misfits.length > 0 ? `; ${misfits.map((each) => each.text).join('; ')}` : ''}`}
    >
      <line
        x1={margin * 0.3}
        x2={width - margin * 0.3}
        y1={floor}
        y2={floor}
        stroke="var(--quiet)"
        stroke-width={size / 8}
      />
      {#each all as each, index (index)}
        {@const over = index === 1}
        {@const h = mm(each.height)}
        {@const body = h * 0.86}
        {@const rear = front - mm(each.along)}
        {@const nose = front + mm(each.shoulder)}
        {@const tail = rear - h * 0.35}
        <g
          fill={over ? 'none' : 'var(--wash)'}
          stroke={over ? 'var(--copper)' : 'var(--ink)'}
          stroke-width={size / 6}
          stroke-dasharray={over ? `${size / 1.6} ${size / 3}` : undefined}
        >
          <rect x={tail} y={floor - h - body} width={nose - tail} height={body * 2} rx={h * 0.08} />
          <path d={`M ${rear - h * 0.12} ${floor} V ${floor - h * 0.1} H ${front + h * 0.12} V ${floor} Z`} />
          <rect x={nose} y={floor - h - mm(each.diameter) / 2} width={mm(each.shaft)} height={mm(each.diameter)} />
          <line x1={front} x2={front} y1={floor - h * 0.18} y2={floor + h * 0.06} />
          <line x1={rear} x2={rear} y1={floor - h * 0.18} y2={floor + h * 0.06} />
          <circle cx={middle} cy={floor - h} r={body} />
          <circle cx={middle} cy={floor - h} r={mm(each.diameter) / 2} />
          <path
            d={`M ${middle - mm(each.across) / 2 - h * 0.1} ${floor} h ${mm(each.across) + h * 0.2} v ${-h * 0.1} h ${-(mm(each.across) + h * 0.2)} Z`}
          />
          <line
            x1={middle - mm(each.across) / 2}
            x2={middle - mm(each.across) / 2}
            y1={floor - h * 0.18}
            y2={floor + h * 0.06}
          />
          <line
            x1={middle + mm(each.across) / 2}
            x2={middle + mm(each.across) / 2}
            y1={floor - h * 0.18}
            y2={floor + h * 0.06}
          />
        </g>
      {/each}
      <g fill="var(--ink)" stroke="none" font-size={size} font-family="inherit">
        <text x={front + mm(a.shoulder + a.shaft) + size * 0.4} y={floor - mm(a.height) / 2}>{show(a.height)}</text>
        {#if first.along.length > 0}
          <text x={front - mm(a.along) / 2} y={floor + size * 1.6} text-anchor="middle"
            >{first.along.map(show).join(' / ')}</text
          >
        {/if}
        {#if first.shoulder !== undefined}
          <text x={front + mm(a.shoulder) / 2} y={floor + size * 2.9} text-anchor="middle">{show(first.shoulder)}</text>
        {/if}
        {#if first.shaftDiameter !== undefined && first.shaftLength !== undefined}
          <text x={front + mm(a.shoulder)} y={floor - mm(a.height) - mm(a.diameter) / 2 - size * 0.5}
            >⌀ {show(first.shaftDiameter)} × {show(first.shaftLength)}</text
          >
        {/if}
        {#if first.across !== undefined}
          <text x={middle} y={floor + size * 1.6} text-anchor="middle">{show(first.across)}</text>
        {/if}
      </g>
      <line
        x1={front + mm(a.shoulder + a.shaft)}
        x2={front + mm(a.shoulder + a.shaft)}
        y1={floor}
        y2={floor - mm(a.height)}
        stroke="var(--quiet)"
        stroke-width={size / 9}
      />
    </svg>
    {#if b}
      <table class="mt-2 w-full text-sm">
        <thead
          ><tr class="text-left text-quiet"
            ><th class="font-normal" scope="col">Dimension</th><th class="text-right font-normal" scope="col"
              >{oldName}</th
            ><th class="text-right font-normal" scope="col">{freshName}</th></tr
          ></thead
        >
        <tbody>
          {#each rows as [label, key, x, y] (key)}
            {@const off = differs(x, y)}
            <tr class={`border-t ${off ? 'text-caution' : ''}`}>
              <th scope="row" class="py-0.5 text-left font-normal">{label}</th>
              <td class="text-right">{list(x)}</td><td class="text-right">{list(y)}{off ? ' △' : ''}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      <p class={`mt-2 text-sm ${misfits.length > 0 ? 'text-caution' : 'text-good'}`} data-testid="mounting">
        {misfits.length > 0
          ? `△ It does not drop in: ${misfits.map((each) => each.text).join('; ')}.`
          : '✓ Feet and shaft match: it drops in.'}
      </p>
    {/if}
    <p class="mt-1 text-xs text-quiet">
      {first.source} (recalled from memory){first.notes.length > 0 ? `. ${first.notes.join('; ')}` : ''}. Body drawn
      freely; measure before ordering.
    </p>
  </figure>
{/if}
