<script lang="ts">
  import type { AnyValue, Solution } from '@pilgrim/core';
  import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
  import { termIn } from '@pilgrim/core/kernel/term';
  import type { DeclaredValue } from '@pilgrim/core/stages/declared-value';
  import Figure from './Figure.svelte';

  interface Props {
    values: Solution['values'];
    stage: string;
    /** What the stage works out, by name, in the order it is shown. */
    declared: Readonly<Record<string, DeclaredValue>>;
    currency: string;
    /** Whose terms and symbols. */
    school: StandardsSystem;
    /** A page brings figures without their workings; this fetches one whole. */
    whole?: (id: string) => Promise<AnyValue | undefined>;
    /** What stands over them. */
    title?: string;
    /** Which are left to be shown here; all where it says nothing. */
    left?: (id: string) => boolean;
  }
  let { values, stage, declared, currency, school, whole, left = () => true, title = 'Calculated' }: Props = $props();

  const LONG = 28;
  interface Row {
    readonly id: string;
    readonly label: string;
    readonly symbol: string;
    readonly value: AnyValue;
  }
  const groups = $derived.by(() => {
    const out: { title: string; rows: Row[] }[] = [{ title, rows: [] }];
    for (const [name, { label, symbol = '', heading, unseen }] of Object.entries(declared)) {
      const id = `${stage}.${name}`;
      if (heading !== undefined) out.push({ title: heading, rows: [] });
      const value = values[id];
      if (value && !unseen && left(id))
        out.at(-1)?.rows.push({ id, label: termIn(label, school), symbol: termIn(symbol, school), value });
    }
    return out.filter((group) => group.rows.length > 0);
  });
</script>

{#if groups.length > 0}
  <section aria-label={title} class="@container rounded-lg border bg-card">
    {#each groups as { title: over, rows } (over)}
      <h2 class="border-b px-3 py-1.5 text-sm font-semibold text-quiet not-first:border-t not-first:bg-paper">
        {over}
      </h2>
      <dl class="@min-[42rem]:columns-2 @min-[42rem]:gap-0">
        {#each rows as { id, label, symbol, value } (id)}
          {@const long = value.unit === '' && value.text.length > LONG}
          <div class={long ? 'worked block' : 'worked'} data-value={id}>
            <dt>
              {label}{#if symbol}<span class="ms-1.5 text-ink">{symbol}</span>{/if}
            </dt>
            <dd class={long ? undefined : value.unit === '' ? 'text-right' : 'text-right whitespace-nowrap'}>
              <Figure {label} {value} whole={whole && (() => whole(id))} />{#if value.unit === 'currency'}<span
                  class="text-sm text-quiet">&nbsp;{currency}</span
                >{/if}
            </dd>
            {#if value.unit !== ''}<dd class="other">{value.other ?? ''}</dd>{/if}
          </div>
        {/each}
      </dl>
    {/each}
  </section>
{/if}
