<script lang="ts">
  import TableCard from '$lib/components/TableCard.svelte';
  import { goto } from '$app/navigation';
  import Button from 'flowbite-svelte/Button.svelte';
  import { sizeText } from '@pilgrim/core/motor/standard-power';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import type { PageProps } from './$types';

  let { data, form }: PageProps = $props();

  type Motor = (typeof data.motors)[number];
  const marks = { 'in service': '●', spare: '◆', 'in repair': '△', scrapped: '✕' } as const;
  const colours = {
    'in service': 'text-quiet',
    spare: 'text-good',
    'in repair': 'text-caution',
    scrapped: 'text-quiet line-through',
  } as const;
  let chosen = $state<string[]>([]);

  const keyOf = (motor: Motor): string => {
    if (data.group === 'size') {
      if (motor.power === null) return 'Size not known';
      const size = sizeText(motor.power, motor.plateText.includes('kW') ? 'IEC' : 'NEMA');
      return `${size}, ${motor.poles ?? '?'} poles`;
    }
    if (data.group === 'frame') return motor.frameNumber === '' ? 'Frame not known' : `Frame ${motor.frameNumber}`;
    if (data.group === 'site') return motor.site || 'No site';
    return '';
  };
  const groups = $derived(
    data.motors.reduce<{ title: string; motors: Motor[] }[]>((out, motor) => {
      const title = keyOf(motor);
      const last = out.find((each) => each.title === title);
      if (last) last.motors.push(motor);
      else out.push({ title, motors: [motor] });
      return out;
    }, []),
  );
  const filters = $derived([
    { name: 'state', label: 'State', chosen: data.query.state, options: data.states },
    { name: 'site', label: 'Site', chosen: data.query.site, options: ['', ...data.sites] },
    { name: 'order', label: 'Sort by', chosen: data.query.order, options: ['tag', 'site', 'size', 'frame', 'changed'] },
    { name: 'group', label: 'Group by', chosen: data.group, options: ['none', 'size', 'frame', 'site'] },
  ]);
  const head = 'px-3 py-1.5 font-normal';
</script>

<svelte:head><title>Motors · Pilgrim</title></svelte:head>

<SiteHeader current="motors">
  <Button href="/motors/import" color="alternative" class="min-h-11 text-ink!">Import</Button>
</SiteHeader>

<main id="main" class="mx-auto grid max-w-7xl gap-6 p-4 lg:grid-cols-[minmax(0,1fr)_17rem]">
  <div class="min-w-0">
    <h1 class="text-xl font-bold">Motors</h1>
    <form method="get" class="mt-3 flex flex-wrap items-end gap-3" role="search" data-sveltekit-keepfocus>
      <div class="min-w-44 grow">
        <label for="q" class="mb-1 block text-sm text-quiet">Search</label>
        <input
          id="q"
          name="q"
          class="entry"
          type="search"
          maxlength={100}
          value={data.query.search}
          placeholder="Tag, place, plate, serial number"
        />
      </div>
      {#each filters as { name, label, chosen: current, options } (name)}
        <div>
          <label for={name} class="mb-1 block text-sm text-quiet">{label}</label>
          <select id={name} {name} class="entry" onchange={(event) => event.currentTarget.form?.requestSubmit()}>
            {#each options as option (option)}
              <option value={option} selected={option === current}>{option || 'all'}</option>
            {/each}
          </select>
        </div>
      {/each}
      <Button type="submit" color="alternative" class="min-h-11 text-ink!">Search</Button>
    </form>
    {#if data.justRemoved}
      <form
        method="post"
        action="?/restore"
        class="mt-3 flex flex-wrap items-center gap-3 rounded-lg border bg-card px-3 py-1"
        data-testid="just-removed"
      >
        <input type="hidden" name="id" value={data.justRemoved} />
        <p>The motor was removed. It stays under the state “removed”.</p>
        <button type="submit" class="min-h-11 text-sea underline">Take it back</button>
      </form>
    {/if}
    <p class="mt-3 text-sm text-quiet" role="status" data-testid="motor-count">
      {data.total}
      {data.total === 1 ? 'motor' : 'motors'}{data.total > data.motors.length
        ? `, the first ${data.motors.length} shown; search or filter for the others`
        : ''}
    </p>
    {#if data.motors.length === 0}
      <p class="mt-2 rounded-lg border bg-card p-6">
        {data.query.search || data.query.state || data.query.site
          ? 'No motor matches. Search less, or choose another state or site.'
          : 'No motor yet. Add one on the right, or import a list.'}
      </p>
    {/if}
    {#each groups as { title, motors } (title)}
      <TableCard label={title || 'Motors'} class="mt-2" caption={title ? `${title} · ${motors.length}` : undefined}>
        <thead>
          <tr class="text-left text-quiet">
            <th scope="col" class={head}><span class="sr-only">Compare</span></th>
            <th scope="col" class={head}>Tag</th>
            <th scope="col" class={head}>Plate</th>
            <th scope="col" class={head}>Where</th>
            <th scope="col" class={head}>State</th>
          </tr>
        </thead>
        <tbody>
          {#each motors as motor (motor.id)}
            <tr class="border-t hover:bg-wash" data-motor={motor.tag}>
              <td class="w-10 px-3"
                >{#if !motor.removed}<input
                    type="checkbox"
                    class="size-5"
                    aria-label={`Compare ${motor.tag || 'motor'}`}
                    disabled={chosen.length === 2 && !chosen.includes(motor.id)}
                    checked={chosen.includes(motor.id)}
                    onchange={() =>
                      (chosen = chosen.includes(motor.id)
                        ? chosen.filter((each) => each !== motor.id)
                        : [...chosen, motor.id])}
                  />{/if}</td
              >
              <th scope="row" class="max-w-44 truncate px-3 text-left font-semibold"
                >{#if motor.removed}
                  <form method="post" action="?/restore" class="flex items-center gap-2">
                    <input type="hidden" name="id" value={motor.id} />
                    <span class="truncate py-2.5">{motor.tag || 'no tag'}</span>
                    <button type="submit" class="font-normal whitespace-nowrap text-sea underline">Take back</button>
                  </form>
                {:else}
                  <a class="block py-2.5 text-sea underline" href={`/motors/${motor.id}`}>{motor.tag || 'no tag'}</a>
                {/if}</th
              >
              <td class="px-3">{motor.plateText || '–'}</td>
              <td class="max-w-64 truncate px-3 text-quiet" title={`${motor.site}, ${motor.location}`}
                >{[motor.location, motor.site].filter(Boolean).join(', ')}</td
              >
              <td class={`px-3 whitespace-nowrap ${motor.removed ? 'text-quiet' : colours[motor.state]}`}
                >{motor.removed ? '✕ removed' : `${marks[motor.state]} ${motor.state}`}{motor.photos > 0
                  ? ` · ${motor.photos} ⌷`
                  : ''}</td
              >
            </tr>
          {/each}
        </tbody>
      </TableCard>
    {/each}
  </div>

  <aside class="space-y-4">
    <form method="post" action="?/create" class="space-y-3 rounded-lg border bg-card p-4">
      <h2 class="font-semibold">Add a motor</h2>
      <div>
        <label for="tag" class="mb-1 block text-sm text-quiet">Tag</label>
        <input
          id="tag"
          name="tag"
          class="entry"
          autocomplete="off"
          placeholder="P-101"
          value={form?.tag ?? ''}
          aria-describedby={form?.message ? 'tag-error' : undefined}
        />
        {#if form?.message}<p id="tag-error" class="mt-1 text-sm text-stop">{form.message}</p>{/if}
      </div>
      <div>
        <label for="new-site" class="mb-1 block text-sm text-quiet">Site</label>
        <input
          id="new-site"
          name="site"
          class="entry"
          autocomplete="off"
          list="sites"
          value={form?.site ?? data.query.site}
        />
        <datalist id="sites"
          >{#each data.sites as site (site)}<option value={site}></option>{/each}</datalist
        >
      </div>
      <Button type="submit" class="min-h-11 w-full">Add</Button>
    </form>
    <div class="rounded-lg border bg-card p-4">
      <h2 class="font-semibold">Compare two plates</h2>
      <p class="mt-1 text-sm text-quiet">Tick two motors in the list, or paste two plates.</p>
      <Button
        color="alternative"
        class="mt-2 min-h-11 w-full text-ink!"
        onclick={() => goto(`/motors/compare?${chosen.map((id, at) => `${at === 0 ? 'a' : 'b'}=${id}`).join('&')}`)}
        >Compare{chosen.length > 0 ? ` ${chosen.length} of 2` : ''}</Button
      >
    </div>
    <div class="rounded-lg border bg-card p-4">
      <h2 class="font-semibold">Export the register</h2>
      <p class="mt-2 flex gap-2">
        {#each ['csv', 'xlsx', 'json'] as format (format)}
          <a
            class="flex min-h-11 grow items-center justify-center rounded-lg border text-sea uppercase hover:bg-wash"
            href={`/motors/export.${format}`}
            download>{format}</a
          >
        {/each}
      </p>
    </div>
  </aside>
</main>
