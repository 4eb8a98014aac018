<script lang="ts">
  import type { ViewProps } from '$lib/stages/views';
  import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import EmptyPicture from '$lib/components/EmptyPicture.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const text = (name: string): string => store.solution.values[`place.${name}`]?.text ?? '–';
  const number = (name: string): number => {
    const value = store.solution.values[`place.${name}`]?.value;
    return typeof value === 'number' ? value : 0;
  };
  /** Heat is counted in watts, whatever the rules; as the findings say it. */
  const heat = (name: string): string => formatQuantity(number(name), 'power', 'IEC');
  const known = $derived(store.solution.values['place.cabinetLosses'] !== undefined);
  /** What the walls carry of the heat that arises inside. */
  const share = $derived(Math.min(1, number('cabinetWalls') / Math.max(1, number('cabinetLosses'))));
  const fan = $derived(store.solution.values['place.cabinetAir'] !== undefined);
  const hot = $derived(fan || store.solution.findings.some(({ code }) => code === 'place.cabinet-cannot-cool'));
</script>

{#if store.document.place.cabinet && known}
  <section class="rounded-lg border bg-card p-3" aria-label="Cabinet heat balance">
    <h2 class="mb-1 text-sm font-semibold text-quiet">Cabinet heat balance</h2>
    <svg
      viewBox="0 0 460 190"
      class="w-full max-w-xl"
      role="img"
      aria-label={`Heat in ${heat('cabinetLosses')}, ${heat('cabinetWalls')} of it through the walls${fan ? `, the rest by ${text('cabinetAir')} of air` : ''}.`}
    >
      <g font-size="13" fill="var(--ink)">
        <rect x="150" y="20" width="160" height="140" rx="4" fill="none" stroke="var(--copper)" stroke-width="3" />
        <rect x="200" y="70" width="60" height="56" rx="3" fill="none" stroke="var(--sea)" stroke-width="2" />
        <text x="230" y="58" text-anchor="middle">{heat('cabinetLosses')}</text>
        <text x="230" y="103" text-anchor="middle" fill="var(--quiet)">drive</text>
        <text x="230" y="148" text-anchor="middle" fill={hot ? 'var(--stop)' : 'var(--ink)'}
          >{text('cabinetInside')}{fan ? ' without a fan' : ' inside'}</text
        >
        <!-- As wide as the heat they carry. -->
        <g stroke="var(--caution)" fill="none">
          {#if share > 0}<path d="M312 72h44m-8-7l9 7l-9 7" stroke-width={1.5 + 8 * share} />
            <path d="M148 72h-44m8-7l-9 7l9 7" stroke-width={1.5 + 8 * share} />{/if}
        </g>
        <text x="366" y="68">{heat('cabinetWalls')}</text>
        <text x="366" y="84" fill="var(--quiet)">through walls</text>
        {#if fan}
          <path
            d="M100 150h46m-8-6l9 6l-9 6M314 38h46m-8-6l9 6l-9 6"
            stroke="var(--sea)"
            stroke-width="3"
            fill="none"
          />
          <text x="96" y="146" text-anchor="end">{text('cabinetAir')}</text>
          <text x="96" y="162" text-anchor="end" fill="var(--quiet)">forced air</text>
          <text x="96" y="178" text-anchor="end" fill="var(--quiet)">filter: {text('filterInterval')} months</text>
        {/if}
        <text x="230" y="182" text-anchor="middle" fill="var(--quiet)">{text('ambient')} around it</text>
      </g>
    </svg>
  </section>
{:else if store.document.place.cabinet}
  <EmptyPicture
    label="Cabinet heat balance"
    example="M110 20h100v90h-100zM210 60h50M110 60h-50"
    needs={[
      { text: 'its height', field: 'place.cabinetHeight' },
      { text: 'width', field: 'place.cabinetWidth' },
      { text: 'depth', field: 'place.cabinetDepth' },
    ]}
  />
{/if}
