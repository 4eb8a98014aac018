<script lang="ts">
  import TableCard from '$lib/components/TableCard.svelte';
  import { plateSchema } from '@pilgrim/core/job/job';
  import { readPlate } from '@pilgrim/core/stages/nameplate/read/read-plate';
  import { comparePlates } from '@pilgrim/core/register/compare';
  import { plateKey } from '@pilgrim/core/register/plate-key';
  import { untrack } from 'svelte';
  import MotorOutline from '$lib/components/MotorOutline.svelte';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  let texts = $state(untrack(() => [asText(data.a), asText(data.b)]));

  /** A registered motor stands for itself until its text is changed. */
  function asText(stored: typeof data.a): string {
    return stored ? (stored.motor.plate.asRead ?? plateKey(stored.motor.plate, stored.motor.school).text) : '';
  }
  const sides = $derived(
    [data.a, data.b].map((stored, at) => {
      const text = texts[at] ?? '';
      if (stored && text === asText(stored)) return { plate: stored.motor.plate, school: stored.motor.school };
      const { fields, school } = readPlate(text);
      return { plate: plateSchema.parse(fields), school };
    }),
  );
  const ready = $derived(texts.every((text) => text.trim() !== ''));
  const [first, second] = $derived(sides);
  const comparison = $derived(ready && first && second ? comparePlates(first, second) : undefined);
  const school = $derived(first?.school ?? 'NEMA');

  const looks = {
    stop: ['■', 'Stop', 'text-stop'],
    caution: ['△', 'Caution', 'text-caution'],
    note: ['·', 'Note', 'text-quiet'],
  } as const;
  const names = ['Motor that is there', 'Motor that would take its place'] as const;
</script>

<svelte:head><title>Compare two plates · Pilgrim</title></svelte:head>

<SiteHeader current="motors" />

<main id="main" class="mx-auto max-w-6xl space-y-5 p-4">
  <div>
    <h1 class="text-xl font-bold">Compare two plates</h1>
    <p class="text-quiet">
      What differs, and what each difference entails when the second takes the place of the first.
    </p>
  </div>
  <div class="grid gap-4 md:grid-cols-2">
    {#each names as name, at (name)}
      {@const stored = at === 0 ? data.a : data.b}
      <div>
        <label for={`plate-${at}`} class="mb-1 block text-sm text-quiet"
          >{name}{stored ? `: ${stored.motor.tag}, ${stored.motor.location}` : ''}</label
        >
        <textarea
          id={`plate-${at}`}
          class="entry"
          rows={4}
          maxlength={5000}
          placeholder="HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 SF 1.15 CODE G DES B FR 254T"
          bind:value={texts[at]}></textarea>
      </div>
    {/each}
  </div>

  {#if comparison}
    <TableCard
      label="Differences"
      caption={comparison.differences.length === 0
        ? 'The two plates say the same'
        : `${comparison.differences.length} differences`}
    >
      <thead
        ><tr class="text-left text-quiet"
          ><th scope="col" class="px-4 py-1.5 font-normal">What</th><th scope="col" class="px-2 text-right font-normal"
            >First</th
          ><th scope="col" class="px-2 text-right font-normal">Second</th><th scope="col" class="px-4 font-normal"
            >Consequence</th
          ></tr
        ></thead
      >
      <tbody>
        {#each comparison.differences as each (each.what)}
          {@const [mark, word, colour] = looks[each.weight]}
          <tr class="border-t" data-difference={each.what}>
            <th scope="row" class="px-4 py-2 text-left font-semibold"
              ><span class={colour} title={word}>{mark}<span class="sr-only">{word}:</span></span> {each.what}</th
            >
            <td class="px-2 py-2 text-right">{each.old}</td><td class="px-2 py-2 text-right">{each.fresh}</td>
            <td class={`px-4 py-2 ${each.weight === 'note' ? '' : colour}`}>{each.entails}</td>
          </tr>
        {/each}
      </tbody>

      {#snippet foot()}{#if comparison.same.length > 0}
          <p class="border-t px-4 py-2 text-sm text-quiet">The same on both: {comparison.same.join(', ')}.</p>
        {/if}{/snippet}
    </TableCard>
    <div class="max-w-2xl">
      <MotorOutline {...comparison.outlines} {school} oldName="First" freshName="Second" />
    </div>
  {:else}
    <p class="rounded-lg border bg-card p-4 text-sm">
      Paste a plate on each side, or tick two motors in the <a class="text-sea underline" href="/motors">register</a>.
    </p>
  {/if}
</main>
