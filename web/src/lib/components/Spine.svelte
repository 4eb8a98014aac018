<script lang="ts">
  import type { Solution } from '@pilgrim/core';
  import { stageNames, type StageName } from '@pilgrim/core/kernel/stage-list';
  import { stageTitles } from '@pilgrim/core/kernel/stage-list';

  let { stages, current, base }: { stages: Solution['stages']; current: StageName; base: string } = $props();

  /** On a narrow screen the list is one line until it is opened. */
  let open = $state(false);
  const place = $derived(stageNames.indexOf(current) + 1);

  const marks = { done: '✓', open: '', caution: '△', stop: '■', 'not asked': '·' } as const;
  const said = {
    done: 'done',
    open: 'open',
    caution: 'with cautions',
    stop: 'stopped',
    'not asked': 'not asked here',
  } as const;
  const colours = {
    done: 'bg-good-wash text-good',
    open: 'border border-dashed border-quiet',
    caution: 'bg-caution-wash text-caution',
    stop: 'rounded-none! bg-stop-wash text-stop',
    'not asked': 'text-quiet',
  } as const;
</script>

<nav aria-label="Stages" class="border-e max-md:border-b">
  <button
    type="button"
    class="flex min-h-11 w-full items-center gap-2.5 px-3 text-left md:hidden"
    aria-expanded={open}
    aria-controls="stages"
    onclick={() => (open = !open)}
  >
    <span class={`mark ${colours[stages[current].state]}`} aria-hidden="true">{marks[stages[current].state]}</span>
    <strong class="text-sm">{stageTitles[current]}</strong>
    <span class="min-w-0 grow truncate text-xs text-quiet">{stages[current].summary}</span>
    <span class="text-sm whitespace-nowrap text-quiet"
      >{place} of {stageNames.length} <span aria-hidden="true">{open ? '▴' : '▾'}</span></span
    >
  </button>
  <ol id="stages" class={open ? 'py-2' : 'py-2 max-md:hidden'}>
    {#each stageNames as name (name)}
      {@const { state, summary } = stages[name]}
      <li>
        <a
          href={`${base}/${name}`}
          aria-current={name === current ? 'step' : undefined}
          class="spine-stage"
          onclick={() => (open = false)}
          data-stage={name}
          data-state={state}
        >
          <span class={`mark ${colours[state]}`} aria-hidden="true">{marks[state]}</span>
          <span class="min-w-0">
            <span class={`block text-sm leading-5 ${state === 'not asked' ? 'text-quiet' : 'font-semibold'}`}
              >{stageTitles[name]}<span class="sr-only">, {said[state]}</span></span
            >
            <span class="block truncate text-xs leading-4 text-quiet" title={summary}>{summary || '–'}</span>
          </span>
        </a>
      </li>
    {/each}
  </ol>
</nav>
