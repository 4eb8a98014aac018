<script lang="ts">
  import { enhance } from '$app/forms';
  import Button from 'flowbite-svelte/Button.svelte';
  import ScheduleLinks from '$lib/components/ScheduleLinks.svelte';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import { savedOnLeaving } from '$lib/leaving';
  import type { PageProps } from './$types';

  let { data, form }: PageProps = $props();

  // What is left with a figure that cannot be used is not dropped without a word.
  let touched = $state(false);
  let told = $state(false);
  savedOnLeaving({ is: () => touched, save: submit, tell: () => (told = true) });

  let rules = $state<HTMLFormElement>();
  let waiting: ((kept: boolean) => void)[] = [];
  /** Sends the figures; whether they were kept. */
  function submit(): Promise<boolean> {
    return new Promise((resolve) => {
      waiting.push(resolve);
      rules?.requestSubmit();
    });
  }

  const typed = $derived(form?.typed ?? undefined);
  const errors = $derived((form?.errors ?? {}) as Readonly<Record<string, string>>);
  const stages = $derived([...new Set(data.rules.map((rule) => rule.stage))]);
</script>

<svelte:window
  onbeforeunload={(leaving: BeforeUnloadEvent) => {
    if (touched) leaving.preventDefault();
  }}
/>
<svelte:head><title>{data.site.name} · Pilgrim</title></svelte:head>
<SiteHeader current="sites" />
<main id="main" class="mx-auto max-w-6xl p-4">
  <div class="mb-4">
    <ScheduleLinks base={`/sites/${encodeURIComponent(data.site.name)}`} of={`all jobs of ${data.site.name}`} />
  </div>
  <h1 class="text-xl font-bold">Design rules of {data.site.name}</h1>
  <p class="mb-4 max-w-3xl text-quiet">
    None of these has a published source: each is common practice with its reason. What is set here goes into every new
    job of the site as soon as the field is left; a job can set its own. Leave a field empty for the usual value.
  </p>
  <!-- A figure is kept as soon as its field is left. -->
  <form
    method="post"
    class="space-y-6"
    use:enhance={() =>
      async ({ result, update }) => {
        await update({ reset: false, invalidateAll: false });
        touched = result.type !== 'success';
        for (const resolve of waiting.splice(0)) resolve(!touched);
      }}
    oninput={() => (touched = true)}
    onchange={() => void submit()}
    bind:this={rules}
  >
    {#if told}<p class="rounded-lg border border-caution bg-caution-wash px-4 py-2 text-caution" role="alert">
        △ What you typed is not kept yet: a figure cannot be used, or the server is away. Leaving once more drops it.
      </p>{/if}
    {#if form?.kept}<p class="rounded-lg border border-good bg-good-wash px-4 py-2 text-good" role="status">
        ✓ Kept. New jobs of {data.site.name} start with these; older jobs keep what they were decided with.
      </p>{/if}
    {#if Object.keys(errors).length > 0}<p
        class="rounded-lg border border-stop bg-stop-wash px-4 py-2 text-stop"
        role="alert"
      >
        ■ Nothing was kept: {Object.keys(errors).length} of the figures cannot be used.
      </p>{/if}
    {#each stages as stage (stage)}
      <section aria-label={stage} class="rounded-lg border bg-card">
        <h2 class="border-b px-4 py-2 text-sm font-semibold text-quiet">{stage}</h2>
        <div class="divide-y">
          {#each data.rules.filter((rule) => rule.stage === stage) as rule (rule.name)}
            <div class="grid items-start gap-x-6 gap-y-2 px-4 py-3 md:grid-cols-[minmax(0,1fr)_11rem_minmax(0,1fr)]">
              <div>
                <label for={rule.name} class="font-semibold">{rule.title}</label>
                <p class="text-sm text-quiet" id={`${rule.name}-why`}>{rule.why}</p>
              </div>
              <div>
                <input
                  id={rule.name}
                  name={rule.name}
                  class={`entry text-right ${errors[rule.name] ? 'border-2 border-stop' : ''}`}
                  maxlength={60}
                  autocomplete="off"
                  placeholder={rule.usual}
                  value={typed ? (typed[rule.name] ?? '') : rule.own}
                  aria-invalid={errors[rule.name] ? true : undefined}
                  aria-describedby={errors[rule.name] ? `${rule.name}-error` : `${rule.name}-why`}
                />
                {#if errors[rule.name]}<p id={`${rule.name}-error`} class="mt-1 text-sm text-stop">
                    {errors[rule.name]}
                  </p>{/if}
              </div>
              <ul class="text-sm">
                <li class="flex gap-2"><strong class="w-20 shrink-0">{rule.usual}</strong> usual</li>
                {#each rule.others as other (other.whose)}<li class="flex gap-2">
                    <strong class="w-20 shrink-0 font-normal">{other.text}</strong>
                    <span class="text-quiet">{other.whose}</span>
                  </li>{/each}
              </ul>
            </div>
          {/each}
        </div>
      </section>
    {/each}
    <Button type="submit" class="min-h-11">Keep for new jobs</Button>
  </form>
</main>
