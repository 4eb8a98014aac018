<script lang="ts">
  import MotorList from './MotorList.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import Button from 'flowbite-svelte/Button.svelte';
  import Card from 'flowbite-svelte/Card.svelte';
  import { textIn } from '@pilgrim/core/present/present';
  import { sizeText } from '@pilgrim/core/motor/standard-power';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import type { PageProps } from './$types';

  let { data, form }: PageProps = $props();

  type Motor = (typeof data.motors)[number];
  let chosen = $state<string[]>([]);

  const keyOf = (motor: Motor): string => {
    if (data.group === 'size') {
      if (motor.power === null) return 'Size not known';
      const size = textIn(sizeText(motor.power), { units: motor.plateText.includes('kW') ? 'IEC' : 'NEMA' });
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
  /** The database sorts, from the first motor to the last. */
  function sort(order: string, down: boolean): void {
    const asked = new URL(page.url);
    asked.searchParams.set('order', order);
    asked.searchParams.set('group', 'none');
    if (down) asked.searchParams.set('down', '1');
    else asked.searchParams.delete('down');
    void goto(asked, { keepFocus: true, noScroll: true });
  }
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
        <button type="submit" class="min-h-11 text-sea underline">Restore</button>
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
      <MotorList
        {title}
        {motors}
        sorting={[{ id: data.query.order, desc: data.query.down }]}
        {sort}
        {chosen}
        choose={(id: string) => (chosen = chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id])}
      />
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
    <Card class="max-w-none! flex-col bg-card! p-4! shadow-none!">
      <h2 class="font-semibold">Compare two plates</h2>
      <p class="mt-1 text-sm text-quiet">Tick two motors in the list, or paste two plates.</p>
      <Button
        color="alternative"
        class="mt-2 min-h-11 w-full text-ink!"
        onclick={() => goto(`/motors/compare?${chosen.map((id, at) => `${at === 0 ? 'a' : 'b'}=${id}`).join('&')}`)}
        >Compare{chosen.length > 0 ? ` ${chosen.length} of 2` : ''}</Button
      >
    </Card>
    <Card class="max-w-none! flex-col bg-card! p-4! shadow-none!">
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
    </Card>
  </aside>
</main>
