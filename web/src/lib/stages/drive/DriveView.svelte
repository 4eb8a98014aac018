<script lang="ts">
  import { onMount } from 'svelte';
  import Bench from '$lib/bench/Bench.svelte';
  import Cautions from '$lib/components/Cautions.svelte';
  import DriveFitness from './DriveCompatibility.svelte';
  import DrivePictures from './DrivePictures.svelte';
  import DriveSettings from './DriveSettings.svelte';
  import SignalScale from './SignalScale.svelte';
  import TerminalPlan from './TerminalPlan.svelte';
  import { sheetOf, type FieldDefinition } from '$lib/job/sheets';
  import type { ViewProps } from '$lib/stages/views';

  let { sheet, ...props }: ViewProps = $props();

  /** Set at the start and needed here too, where a situation may not ask for a start. */
  const SHARED = ['starting.driveRamp', 'starting.driveCurrentLimit', 'starting.braking', 'starting.closedLoop'];
  let shared = $state.raw<readonly FieldDefinition[]>([]);
  onMount(async () => {
    const { fields } = await sheetOf('starting');
    shared = fields
      .filter(({ path }) => SHARED.includes(path))
      .map((field) => ({ ...field, group: 'Ramps and stopping' }));
  });
  const at = $derived(sheet.fields.findIndex(({ group }) => group === 'Ramps and stopping'));
  const whole = $derived({
    ...sheet,
    fields: [...sheet.fields.slice(0, at), ...shared, ...sheet.fields.slice(at)],
  });
</script>

<Bench {...props} sheet={whole} stage="drive">
  {#snippet picture()}
    <DrivePictures store={props.store} base={props.base} />
    <DriveFitness store={props.store} />
  {/snippet}
  <DriveSettings {...props} />
  <SignalScale store={props.store} />
  <TerminalPlan store={props.store} />
  <Cautions />
</Bench>
