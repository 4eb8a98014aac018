<script lang="ts">
  import { termIn } from '@pilgrim/core/kernel/term';
  import type { FieldHost } from '$lib/job/field-host';
  import type { FieldDefinition } from '$lib/job/sheets';

  interface Props {
    field: FieldDefinition;
    store: FieldHost;
    /** Sets the ids apart where a field stands on a page twice. */
    prefix?: string;
  }
  let { field, store, prefix = 'field' }: Props = $props();

  const id = $derived(`${prefix}-${field.path.replaceAll('.', '-')}`);
  const label = $derived(termIn(field.label, store.school));
  const echo = $derived(store.echo(field.path));
  const error = $derived(echo?.error);
  const said = $derived(error ? `${id}-error` : undefined);

  /** F1 opens what the glossary says of the field that has the focus. */
  function define(event: KeyboardEvent): void {
    if (event.key !== 'F1') return;
    event.preventDefault();
    window.open(`/glossary?q=${encodeURIComponent(field.path)}`, 'glossary');
  }

  const getText = (): string => String(store.get(field.path) ?? '');
  const setText = (value: string | number | undefined): void =>
    store.set(field.path, value === undefined ? '' : String(value));
  /** The second unit stands in the field only where what is typed leaves room for it. */
  const other = $derived(
    echo?.other && 4 * getText().length + 3 * echo.other.length <= (field.wide ? 150 : 72) ? echo.other : undefined,
  );
  const look = $derived(error ? 'entry border-2 border-stop' : 'entry');
</script>

<div
  class={field.wide ? 'relative sm:col-span-2 lg:col-span-1 xl:col-span-2' : 'relative'}
  data-field={field.path}
  onkeydown={define}
  role="presentation"
>
  {#if field.kind === 'check'}
    <label class="tick">
      <input
        type="checkbox"
        {id}
        bind:checked={() => store.get(field.path) === true, (value: boolean) => store.set(field.path, value)}
      />
      {label}
    </label>
  {:else}
    <label for={id} class="asked">{label}</label>
    <a
      href={`/glossary?q=${encodeURIComponent(field.path)}`}
      target="glossary"
      tabindex={-1}
      class="definition"
      aria-hidden="true"
      title="Definition (F1)">?</a
    >
    {#if field.kind === 'select'}
      <select {id} class={look} bind:value={getText, setText}>
        {#if store.get(field.path) === undefined}<option disabled value="">–</option>{/if}
        {#each field.options ?? [] as option (option.value)}<option value={option.value}
            >{termIn(option.name, store.school)}</option
          >{/each}
      </select>
    {:else if field.kind === 'area'}
      <textarea
        {id}
        rows={2}
        maxlength={1000}
        placeholder={field.placeholder}
        class={look}
        bind:value={getText, setText}></textarea>
    {:else}
      <div class="@container relative">
        <input
          {id}
          type="text"
          autocomplete="off"
          maxlength={200}
          placeholder={field.placeholder}
          class={other ? `${look} @min-[9rem]:pe-20` : look}
          aria-label={field.said}
          aria-invalid={error ? true : undefined}
          aria-describedby={said}
          bind:value={getText, setText}
        />
        {#if other}
          <span
            class="pointer-events-none absolute inset-y-0 end-2.5 hidden items-center text-xs text-quiet @min-[9rem]:flex"
            >{other}</span
          >
        {/if}
      </div>
    {/if}
    {#if error}
      <p id={`${id}-error`} class="mt-1 text-sm text-stop">{error}</p>
    {/if}
  {/if}
</div>
