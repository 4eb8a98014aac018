<script lang="ts">
  import { fieldId, reach } from '$lib/job/reach';

  interface Props {
    label: string;
    /** A pale example of the picture that will stand here, in a box of 320 by 110; none where figures will. */
    example?: string;
    /** The one or two entries that make it: of this stage by their field, of another by its address. */
    needs: readonly { readonly text: string; readonly field?: string; readonly href?: string }[];
  }
  let { label, example, needs }: Props = $props();
</script>

<!-- An empty stage shows what would stand here, and which entries make it appear. -->
<section class="rounded-lg border border-dashed bg-card p-3" aria-label={label} data-empty>
  <h2 class="text-sm font-semibold text-quiet">{label}</h2>
  {#if example}<svg viewBox="0 0 320 120" class="my-2 max-h-56 w-full" aria-hidden="true">
      <path d="M30 8V110H312" class="fill-none stroke-line stroke-2" />
      <path d={example} class="fill-none stroke-copper stroke-2 opacity-40" />
    </svg>{/if}
  <p class="text-sm">{example ? 'This picture appears' : 'They appear'} with</p>
  <ul class="mt-1 flex flex-wrap gap-2">
    {#each needs as { text, field, href } (text)}
      <li>
        {#if href}<a class="inline-flex min-h-8 items-center text-sm text-sea underline pointer-coarse:min-h-11" {href}
            >{text}</a
          >
        {:else}<button
            type="button"
            class="min-h-8 text-sm text-sea underline pointer-coarse:min-h-11"
            onclick={() => reach(fieldId(field ?? ''))}>{text}</button
          >{/if}
      </li>
    {/each}
  </ul>
</section>
