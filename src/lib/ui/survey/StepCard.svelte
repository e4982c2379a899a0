<script lang="ts">
  import type { Procedure, ProcedureStep } from '$core/procedures/procedure.ts';
  import { jobOf } from '$core/jobs/register.ts';
  import { stationOf, type ItemId, type StationId } from '$core/stations/items.ts';
  import { say } from '$core/units/index.ts';
  import type { Instant } from '$core/units/instant.ts';
  import { useSession } from '../session/session.svelte.ts';
  import HazardLines from '../marks/HazardLines.svelte';
  import TurnArrow from '../marks/TurnArrow.svelte';
  import LimitLine from './LimitLine.svelte';
  import StationFields from './StationFields.svelte';
  import StepParts from './StepParts.svelte';

  /** One step of a procedure with everything that is needed at it: cautions first, then the act, its figures and its fields. */
  interface Props {
    step: ProcedureStep;
    base: string;
    procedure: Procedure;
    /** All of them: what one renews, another takes off. */
    steps: readonly ProcedureStep[];
    began: Instant | undefined;
  }
  let { step, base, procedure, steps, began }: Props = $props();
  const session = useSession();
  const stationsOf = $derived.by((): [StationId, string[]][] => {
    const map = new Map<StationId, string[]>();
    for (const i of step.items ?? []) {
      const station = stationOf(i as ItemId);
      map.set(station, [...(map.get(station) ?? []), i.slice(i.indexOf('.') + 1)]);
    }
    return [...map];
  });
</script>

{#if step.careful?.length}<HazardLines ids={step.careful} brief footer={false} />{/if}
<p class="mt-1 max-w-prose text-xl leading-snug">{step.text}</p>
{#if step.because}<p class="mt-1 max-w-prose">{step.because}</p>{/if}
{#if step.turns}<div class="mt-2"><TurnArrow turns={step.turns} /></div>{/if}
{#if step.figures?.length}
  <dl class="mt-2 grid gap-x-6 gap-y-2 sm:grid-cols-2">
    {#each step.figures as f (f.label)}
      <div class="border-l-2 border-primary pl-3">
        <dt class="label-caps">{f.label}</dt>
        <dd>
          <span class="sounding text-3xl">{say(f.value, f.dimension, session.units)}</span>
          {#if f.low !== undefined && f.high !== undefined && f.low !== f.high}<span class="text-sm"
              >{say(f.low, f.dimension, session.units)} to {say(f.high, f.dimension, session.units)}</span
            >{/if}
          <span class="block text-sm">{f.because}</span>
        </dd>
      </div>
    {/each}
  </dl>
{/if}
{#if step.tools?.length}<p class="mt-2">
    <span class="label-caps">Tools</span>
    {step.tools.join(', ')}
  </p>{/if}
<StepParts {step} {steps} {procedure} {began} />
{#each stationsOf as [station, only] (station)}<div class="mt-3"><StationFields {station} {only} /></div>{/each}
{#each step.torque ?? [] as id (id)}<LimitLine {id} />{/each}
{#if step.branch?.length}
  <dl class="mt-3 border-t border-line">
    {#each step.branch as b (b.seen)}
      <div class="grid gap-x-4 border-b border-line py-1.5 sm:grid-cols-[12rem_1fr]">
        <dt class="font-medium">{b.seen}</dt>
        <dd>
          {b.then}
          {#if b.job}<a class="plain-link" href="{base}/jobs#job-{b.job}">{jobOf(b.job).title}</a>{/if}
        </dd>
      </div>
    {/each}
  </dl>
{/if}
