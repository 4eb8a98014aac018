<script lang="ts">
  import type { PlateReading, PlateToken } from '@pilgrim/core/stages/nameplate/read/read-plate';
  import { termIn } from '@pilgrim/core/kernel/term';
  import Button from 'flowbite-svelte/Button.svelte';
  import type { FieldHost } from '$lib/job/field-host';
  import type { FieldDefinition } from '$lib/job/sheets';

  interface Props {
    store: FieldHost;
    /** Of the plate. */
    fields: readonly FieldDefinition[];
    reader: (text: string) => Promise<PlateReading>;
  }
  let { store, fields: plateFields, reader }: Props = $props();

  let outcome = $state('');
  let tokens = $state.raw<readonly PlateToken[]>([]);
  let picked = $state<PlateToken>();

  const names = $derived(
    new Map<string, string>(
      plateFields.map(({ path, label }) => [path.replace('nameplate.', ''), termIn(label, store.school)]),
    ),
  );
  const looks = {
    understood: 'border-line bg-card',
    doubtful: 'border-caution bg-caution-wash text-caution',
    ignored: 'border-dashed border-quiet text-quiet line-through',
  } as const;
  const said = { understood: 'understood', doubtful: 'in doubt', ignored: 'not understood' } as const;
  const getText = (): string => String(store.get('nameplate.asRead') ?? '');
  const nameOf = (token: PlateToken): string => (token.field ? (names.get(token.field) ?? '') : '');

  async function readIt(): Promise<void> {
    let reading: PlateReading;
    try {
      reading = await reader(getText());
    } catch (error) {
      outcome = error instanceof Error ? error.message : 'The plate could not be read now. Try again.';
      return;
    }
    const { fields, school, tokens: read } = reading;
    tokens = read;
    picked = undefined;
    const found = Object.entries(fields).filter(([name]) => name !== 'asRead');
    if (found.length === 0) {
      outcome = 'Nothing could be read. Write it like: HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 SF 1.15';
      return;
    }
    store.setMany({
      school,
      ...Object.fromEntries(found.map(([name, value]) => [`nameplate.${name}`, value as string])),
    });
    const doubts = read.filter((token) => token.state === 'doubtful').length;
    const unknown = read.filter((token) => token.state === 'ignored').map((token) => token.text);
    outcome = [
      `${found.length} fields read.`,
      doubts > 0 ? `${doubts} in doubt.` : '',
      unknown.length > 0 ? `Not understood: ${unknown.join(', ')}.` : '',
    ].join(' ');
  }

  /** The word that was picked is put where it belongs. */
  function assign(name: string): void {
    if (!picked) return;
    const { from, field, text } = picked;
    if (field && String(store.get(`nameplate.${field}`) ?? '').startsWith(text)) store.set(`nameplate.${field}`, '');
    if (name !== '') store.set(`nameplate.${name}`, text);
    tokens = tokens.map((token): PlateToken => {
      if (token.from !== from) return token;
      const { from: start, to } = token;
      return name === ''
        ? { text, from: start, to, state: 'ignored' }
        : { text, from: start, to, state: 'understood', field: name as NonNullable<PlateToken['field']> };
    });
    outcome = name === '' ? `“${text}” is left out.` : `“${text}” is now ${names.get(name) ?? name}.`;
    picked = undefined;
  }
</script>

<div class="mb-2">
  <label for="field-nameplate-asRead" class="mb-1 block text-sm text-quiet">Nameplate text</label>
  <textarea
    id="field-nameplate-asRead"
    rows={2}
    maxlength={5000}
    class="entry"
    placeholder="HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 SF 1.15 CODE G DES B FR 254T"
    bind:value={getText, (value: string) => store.set('nameplate.asRead', value)}></textarea>
  <div class="mt-1 flex items-center gap-3">
    <Button color="alternative" class="min-h-11 shrink-0 text-ink!" disabled={getText().trim() === ''} onclick={readIt}
      >Read into the fields</Button
    >
    <p class="text-sm text-quiet" role="status">{outcome}</p>
  </div>
  {#if tokens.length > 0}
    <p class="mt-3 text-sm text-quiet" id="tokens-help">
      What each word was taken for. Amber is in doubt, struck through was not understood; choose a word to put it right.
    </p>
    <ul class="mt-1 flex flex-wrap gap-1" aria-describedby="tokens-help">
      {#each tokens as token (token.from)}
        <li>
          <button
            type="button"
            class={`min-h-7 rounded border px-1.5 text-sm ${looks[token.state]} ${picked?.from === token.from ? 'ring-2 ring-sea' : ''}`}
            title={[nameOf(token), token.note].filter(Boolean).join(': ') || said[token.state]}
            data-token={token.state}
            aria-label={`${token.text}: ${nameOf(token) || said[token.state]}${token.note ? `, ${token.note}` : ''}`}
            aria-pressed={picked?.from === token.from}
            onclick={() => (picked = picked?.from === token.from ? undefined : token)}>{token.text}</button
          >
        </li>
      {/each}
    </ul>
    {#if picked}
      <div class="mt-2 flex flex-wrap items-center gap-2 rounded-lg border bg-card p-2">
        <label for="token-field" class="text-sm">“{picked.text}” is{picked.note ? ` (${picked.note})` : ''}</label>
        <select
          id="token-field"
          class="entry w-auto!"
          value={picked.field ?? ''}
          onchange={(event) => assign(event.currentTarget.value)}
        >
          <option value="">nothing, leave it out</option>
          {#each names as [name, label] (name)}{#if name !== 'unreadable' && !name.startsWith('measured')}<option
                value={name}>{label}</option
              >{/if}{/each}
        </select>
      </div>
    {/if}
  {/if}
</div>
