<script lang="ts">
  import Checkbox from 'flowbite-svelte/Checkbox.svelte';
  import Input from 'flowbite-svelte/Input.svelte';
  import Label from 'flowbite-svelte/Label.svelte';
  import Select from 'flowbite-svelte/Select.svelte';
  import Textarea from 'flowbite-svelte/Textarea.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import type { FieldDefinition } from '$lib/job/sheets';

  let { field, store, hydrated }: { field: FieldDefinition; store: JobStore; hydrated: boolean } = $props();

  const id = $derived(`field-${field.path.replaceAll('.', '-')}`);
  const echo = $derived(store.solution.fields[field.path]);
  const error = $derived(echo?.error);
  const said = $derived(error ? `${id}-error` : undefined);

  const getText = (): string => String(store.get(field.path) ?? '');
  const setText = (value: string | number | undefined): void =>
    store.set(field.path, value === undefined ? '' : String(value));
  const look = $derived(
    `min-h-11 bg-card text-ink text-base ${error ? 'border-stop! border-2' : 'border-gray-400! dark:border-gray-500!'}`,
  );
</script>

<div class={field.wide ? 'sm:col-span-2 lg:col-span-1 xl:col-span-2' : ''} data-field={field.path}>
  {#if field.kind === 'check'}
    <Checkbox
      {id}
      class="size-6"
      classes={{ div: 'min-h-11 text-base font-normal text-ink' }}
      disabled={!hydrated}
      bind:checked={() => store.get(field.path) === true, (value) => store.set(field.path, value)}
    >
      {field.label}
    </Checkbox>
  {:else}
    <Label for={id} class="mb-1 text-sm font-normal text-quiet">{field.label}</Label>
    {#if field.kind === 'select'}
      <Select
        {id}
        disabled={!hydrated}
        items={[...(field.options ?? [])]}
        placeholder={store.get(field.path) === undefined ? '–' : ''}
        classes={{ select: look }}
        bind:value={getText, setText}
      />
    {:else if field.kind === 'area'}
      <Textarea
        {id}
        rows={2}
        maxlength={1000}
        placeholder={field.placeholder}
        class={`w-full ${look}`}
        bind:value={getText, setText}
      />
    {:else}
      <div class="relative">
        <Input
          {id}
          type="text"
          autocomplete="off"
          maxlength={200}
          placeholder={field.placeholder}
          class={`${look} ${echo?.other ? 'pe-28' : ''} placeholder:text-gray-500 dark:placeholder:text-gray-400`}
          aria-invalid={error ? true : undefined}
          aria-describedby={said}
          bind:value={getText, setText}
        />
        {#if echo?.other}
          <span class="pointer-events-none absolute inset-y-0 end-3 flex items-center text-sm text-quiet"
            >{echo.other}</span
          >
        {/if}
      </div>
    {/if}
    {#if error}
      <p id={`${id}-error`} class="mt-1 text-sm text-stop">{error}</p>
    {/if}
  {/if}
</div>
