<script lang="ts">
  import Fileupload from 'flowbite-svelte/Fileupload.svelte';
  import { invalidateAll } from '$app/navigation';
  import Button from 'flowbite-svelte/Button.svelte';
  import { untrack } from 'svelte';
  import { motorEvents, motorStates } from '@pilgrim/core/register/registered-motor';
  import Field from '$lib/components/Field.svelte';
  import FieldGrid from '$lib/components/FieldGrid.svelte';
  import Figures from '$lib/components/Figures.svelte';
  import MotorOutline from '$lib/components/MotorOutline.svelte';
  import PlateText from '$lib/components/PlateText.svelte';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import { working } from '$lib/components/working.svelte';
  import WorkingCard from '$lib/components/WorkingCard.svelte';
  import { MotorStore } from '$lib/register/motor-store.svelte';
  import { savedOnLeaving } from '$lib/leaving';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const store = untrack(() => new MotorStore(data.id, data.revision, data.motor, () => invalidateAll()));
  savedOnLeaving({
    is: () => store.state === 'changed',
    save: () => store.save().then(() => store.state === 'saved'),
    tell: () => (store.problem = `${store.problem} Leaving once more drops what was typed.`),
  });
  const values = $derived(
    Object.fromEntries(Object.entries(store.decoded.values).map(([name, value]) => [`nameplate.${name}`, value])),
  );
  let date = $state(new Date().toISOString().slice(0, 10));
  let event = $state<(typeof motorEvents)[number]>('installed');
  let note = $state('');
  let photoProblem = $state('');

  function addEvent(): void {
    store.motor.history.push({ date, event, note });
    store.motor.history.sort((a, b) => b.date.localeCompare(a.date));
    store.changed();
    note = '';
  }
  function removeEvent(index: number): void {
    store.motor.history.splice(index, 1);
    store.changed();
  }

  /** Chosen and not at the server yet: it is kept and sent again. */
  let unsent = $state<File>();
  const AGAIN = 5000;

  async function sendPhoto(file: File): Promise<void> {
    unsent = file;
    const response = await fetch(`/api/motors/${data.id}/photos`, { method: 'POST', body: file }).catch(
      () => undefined,
    );
    if (!response || response.status >= 500 || response.status === 429) {
      photoProblem = 'The server does not answer just now. The picture waits here and is sent again by itself.';
      setTimeout(() => {
        if (unsent === file) void sendPhoto(file);
      }, AGAIN);
      return;
    }
    unsent = undefined;
    photoProblem = '';
    if (response.ok) return invalidateAll();
    const answer = (await response.json().catch(() => undefined)) as { issues?: { message: string }[] } | undefined;
    photoProblem = answer?.issues?.[0]?.message ?? 'The picture could not be taken. Is it larger than 8 MB?';
  }
  async function choosePhoto(input: HTMLInputElement): Promise<void> {
    const file = input.files?.[0];
    if (file) await sendPhoto(file);
    input.value = '';
  }
  async function removePhoto(id: string): Promise<void> {
    await fetch(`/api/motors/${data.id}/photos/${id}`, { method: 'DELETE' });
    await invalidateAll();
  }

  const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: 'UTC' });

  const texts = [
    ['tag', 'Tag', 60],
    ['site', 'Site', 120],
    ['location', 'Location', 120],
  ] as const;
</script>

<svelte:head><title>{store.motor.tag || 'Motor'} · Pilgrim</title></svelte:head>
<svelte:window
  onbeforeunload={(leaving: BeforeUnloadEvent) => {
    if (store.state === 'changed' || unsent) leaving.preventDefault();
  }}
/>

<SiteHeader current="motors">
  <p class="text-sm text-quiet" role="status" data-save={store.state}>
    {{
      saved: `Saved · rev ${store.revision}`,
      changed: store.clash ? 'Saved by somebody else too' : 'Not saved yet',
      saving: 'Saving …',
    }[store.state]}
  </p>
  {#if store.state === 'changed'}
    <Button class="min-h-11" onclick={() => store.save()}>{store.clash ? 'Keep mine' : 'Save now'}</Button>
  {/if}
</SiteHeader>

<main id="main" class="mx-auto max-w-7xl p-4">
  <h1 class="truncate text-xl font-bold" title={store.motor.tag}>{store.motor.tag || 'Motor without a tag'}</h1>
  {#if store.problem}<p class="mt-2 rounded-lg border border-caution bg-caution-wash p-3 text-sm" role="alert">
      {store.problem}
    </p>{/if}
  <div class="mt-3 grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_18rem]">
    <section aria-label="Motor and plate" class="min-w-0">
      <div class="mb-4 grid gap-3 sm:grid-cols-2">
        {#each texts as [name, label, most] (name)}
          <div>
            <label for={name} class="mb-1 block text-sm text-quiet">{label}</label>
            <input
              id={name}
              class="entry"
              maxlength={most}
              autocomplete="off"
              bind:value={() => store.motor[name], (value: string) => store.set(name, value)}
            />
          </div>
        {/each}
        <div>
          <label for="state" class="mb-1 block text-sm text-quiet">State</label>
          <select
            id="state"
            class="entry"
            bind:value={() => store.motor.state, (value: string) => store.set('state', value)}
          >
            {#each motorStates as state (state)}<option>{state}</option>{/each}
          </select>
        </div>
        <Field
          {store}
          field={{
            path: 'situation.runningCurrent',
            label: 'Running current, last measured',
            kind: 'text',
            placeholder: '36 A',
          }}
        />
      </div>
      <PlateText {store} fields={data.sheet.fields} reader={(text: string) => store.readPlate(text)} />
      <FieldGrid fields={data.sheet.fields} {store} />
    </section>

    <div class="min-w-0 space-y-4">
      <Figures {values} stage="nameplate" declared={data.sheet.values} currency="" school={store.school} />
      <MotorOutline old={store.decoded.outline} school={store.motor.school} />
    </div>

    <aside class="space-y-4">
      <form method="post" action="?/job" class="rounded-lg border bg-card p-4">
        <h2 class="font-semibold">Start a job from this motor</h2>
        <label for="kind" class="mt-2 mb-1 block text-sm text-quiet">Task</label>
        <select id="kind" name="kind" class="entry">
          <option value="replace">Replace the failed motor</option>
          <option value="drive">Add a drive</option>
          <option value="starter">Change the starter</option>
          <option value="energy">Energy study</option>
        </select>
        <Button type="submit" class="mt-3 min-h-11 w-full" disabled={store.state !== 'saved'}
          >{store.state === 'saved' ? 'Start' : 'Save first'}</Button
        >
      </form>

      {#if store.decoded.findings.length > 0}
        <section aria-label="Nameplate findings" class="space-y-2">
          {#each store.decoded.findings as finding (finding.code)}
            <p
              class={`rounded-lg border border-s-4 bg-card p-3 text-sm ${finding.severity === 'note' ? 'border-s-sea' : 'border-s-caution'}`}
              data-finding={finding.code}
            >
              {finding.message} <span class="block text-xs text-quiet">{finding.basis}</span>
            </p>
          {/each}
        </section>
      {/if}

      <section class="rounded-lg border bg-card p-4" aria-label="Photographs">
        <h2 class="font-semibold">Photographs</h2>
        <ul class="mt-2 grid grid-cols-2 gap-2">
          {#each data.photos as photo, index (photo.id)}
            <li>
              <a href={`/api/motors/${data.id}/photos/${photo.id}`}
                ><img
                  src={`/api/motors/${data.id}/photos/${photo.id}`}
                  alt={`Motor ${store.motor.tag}, picture ${index + 1}`}
                  width={photo.width}
                  height={photo.height}
                  loading="lazy"
                  class="h-24 w-full rounded border object-cover"
                /></a
              >
              <button type="button" class="min-h-7 text-sm text-sea underline" onclick={() => removePhoto(photo.id)}
                >Remove picture {index + 1}</button
              >
            </li>
          {:else}
            <li class="col-span-2 text-sm text-quiet">None yet.</li>
          {/each}
        </ul>
        <label for="photo" class="mt-2 mb-1 block text-sm text-quiet">Add a picture, JPEG, PNG or WebP to 8 MB</label>
        <Fileupload
          id="photo"
          accept="image/jpeg,image/png,image/webp"
          class="min-h-11 text-sm"
          disabled={unsent !== undefined}
          aria-describedby={photoProblem ? 'photo-error' : undefined}
          onchange={(changed) => choosePhoto(changed.currentTarget)}
        />
        {#if photoProblem}<p id="photo-error" class="text-sm text-stop" role="alert">{photoProblem}</p>{/if}
      </section>

      <section class="rounded-lg border bg-card p-4" aria-label="History">
        <h2 class="font-semibold">History</h2>
        <ul class="mt-2 space-y-1 text-sm">
          {#each store.motor.history as entry, index (index)}
            <li class="flex gap-2">
              <span class="shrink-0 text-quiet">{entry.date}</span><span class="grow"
                >{entry.event}{entry.note ? `: ${entry.note}` : ''}</span
              ><button
                type="button"
                class="min-h-7 px-1 text-quiet hover:text-stop"
                aria-label={`Remove ${entry.event} of ${entry.date}`}
                onclick={() => removeEvent(index)}>✕</button
              >
            </li>
          {:else}
            <li class="text-quiet">Nothing recorded.</li>
          {/each}
        </ul>
        <div class="mt-2 space-y-2">
          <div class="grid gap-2">
            <input type="date" class="entry" aria-label="Date of the event" bind:value={date} />
            <select class="entry" aria-label="Event" bind:value={event}>
              {#each motorEvents as each (each)}<option>{each}</option>{/each}
            </select>
          </div>
          <input
            class="entry"
            aria-label="Note on the event"
            maxlength={500}
            placeholder="What was found or done"
            bind:value={note}
          />
          <Button color="alternative" class="min-h-11 w-full text-ink!" disabled={date === ''} onclick={addEvent}
            >Add to the history</Button
          >
        </div>
      </section>

      <div>
        <label for="note" class="mb-1 block text-sm text-quiet">Note</label>
        <textarea
          id="note"
          class="entry"
          rows={3}
          maxlength={2000}
          bind:value={() => store.motor.note, (value: string) => store.set('note', value)}></textarea>
      </div>
      {#if data.earlier.length > 0}
        <details class="rounded-lg border bg-card p-4">
          <summary class="font-semibold">Earlier states ({data.earlier.length})</summary>
          <ul class="mt-2 text-sm">
            {#each data.earlier as { revision, savedAt } (revision)}
              <li class="flex items-center gap-2">
                <span class="grow">rev {revision} · <span class="text-quiet">{when.format(savedAt)} UTC</span></span>
                <button type="button" class="min-h-7 text-sea underline" onclick={() => store.takeEarlier(revision)}
                  >Put rev {revision} into the fields</button
                >
              </li>
            {/each}
          </ul>
        </details>
      {/if}
      <form method="post" action="?/remove" onsubmit={() => void (store.state = 'saved')}>
        <button type="submit" class="min-h-11 text-sm text-stop underline">Remove this motor</button>
      </form>
    </aside>
  </div>
</main>
{#if working.shown}{#key working.shown}<WorkingCard shown={working.shown} />{/key}{/if}
