<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { saveSettings } from '$lib/job/save-settings';
  import type { ViewProps } from '$lib/stages/views';
  import TableCard from '$lib/components/TableCard.svelte';

  let { store, base }: Pick<ViewProps, 'store' | 'base'> = $props();

  const PATH = 'drive.asSet';
  const settings = $derived(store.solution.details.drivePictures?.settings ?? []);
  const rows = $derived(
    Array.from({ length: store.rowCount(PATH) }, (_, at) => ({
      setting: String(store.get(`${PATH}.${at}.setting`) ?? ''),
      value: String(store.get(`${PATH}.${at}.value`) ?? ''),
    })),
  );
  const typed = (id: string): string => rows.find(({ setting }) => setting === id)?.value ?? '';

  function type(id: string, value: string): void {
    const at = rows.findIndex(({ setting }) => setting === id);
    if (at >= 0) store.set(`${PATH}.${at}.value`, value);
    else if (value !== '') store.addRow(PATH, { setting: id, value });
  }
  const differing = $derived(settings.filter(({ differs }) => differs).length);
</script>

{#if settings.length > 0}
  <TableCard label="Settings sheet" caption="Drive parameters, in keypad order">
    <thead>
      <tr class="text-left text-quiet">
        <th scope="col" class="px-3 py-1.5 font-normal">Setting</th>
        <th scope="col" class="px-2 py-1.5 font-normal">Calculated</th>
        <th scope="col" class="px-2 py-1.5 font-normal">From</th>
        <th scope="col" class="w-28 px-2 py-1.5 font-normal lg:w-44">As left</th>
      </tr>
    </thead>
    <tbody>
      {#each settings as setting, at (setting.id)}
        {#if setting.group !== settings[at - 1]?.group}
          <tr class="border-t"
            ><th scope="rowgroup" colspan="4" class="bg-wash px-3 py-1 text-left text-sm">{setting.group}</th></tr
          >
        {/if}
        <tr class="border-t" data-setting={setting.id}>
          <th scope="row" class="px-3 py-1 text-left font-normal">{setting.name}</th>
          <td class="px-2 py-1 font-semibold">{setting.value || '…'}</td>
          <td class="px-2 py-1 text-quiet">{setting.from}</td>
          <td class="px-2 py-1">
            <input
              class={`entry min-h-8! py-0! ${setting.differs ? 'border-stop!' : ''}`}
              aria-label={`${setting.name}, as set`}
              aria-invalid={setting.differs ?? false}
              maxlength={60}
              value={typed(setting.id)}
              onchange={(event) => type(setting.id, event.currentTarget.value)}
            />
            {#if setting.differs}<span class="block text-sm text-stop">✕ differs</span>{/if}
          </td>
        </tr>
      {/each}
    </tbody>
    {#snippet foot()}
      <p class="no-print flex flex-wrap items-center gap-2 border-t px-3 py-2 text-sm">
        {#each ['CSV', 'JSON'] as const as form (form)}
          <Button
            color="alternative"
            class="min-h-9 px-3! text-ink! pointer-coarse:min-h-11"
            onclick={() => void saveSettings(settings, store.document.tag || 'drive', form)}>Save as {form}</Button
          >
        {/each}
        <a class="text-sea underline" href={`${base}/sheet.pdf`}>Print it: last page of the selection sheet</a>
        {#if differing > 0}<strong class="text-stop"
            >{differing === 1 ? 'One setting differs' : `${differing} settings differ`}</strong
          >{/if}
      </p>
    {/snippet}
  </TableCard>
{/if}
