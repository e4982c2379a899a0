<script lang="ts">
  import Fold from '../marks/Fold.svelte';
  import { cylinderCount, known } from '$core/engine/profile.ts';
  import { refusal } from '$core/holds/against.ts';
  import { crankedTemperature } from '$core/physics/breakdown.ts';
  import { allItems } from '$core/stations/items.ts';
  import { shapeOf } from '$core/stations/compression/shape.ts';
  import { isolation } from '$core/stations/spark/isolation.ts';
  import { voltages } from '$core/stations/spark/voltage.ts';
  import type { Item } from '$core/items/item.ts';
  import type { Conditions } from '$core/record/reading.ts';
  import { parseQuantity } from '$core/units/index.ts';
  import Shape from '../marks/Shape.svelte';
  import BreakdownChart from './BreakdownChart.svelte';
  import CylinderTable from '../survey/CylinderTable.svelte';
  import EliminationPanel from '../survey/EliminationPanel.svelte';
  import LimitLine from '../survey/LimitLine.svelte';
  import RepeatedChoice from '../survey/RepeatedChoice.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';

  /** Spark of each cylinder, one tap a look; what it is worth at the plug; the isolation where there is none. */
  let { conditions }: { conditions: Conditions } = $props();
  const session = useSession();
  const item = allItems['spark.result'] as Extract<Item, { kind: 'choice' }>;
  const profile = $derived(session.survey.engine.profile);
  const cylinders = $derived(Array.from({ length: cylinderCount(profile) ?? 1 }, (_, k) => k + 1));
  const stop = $derived(refusal(session.judgement.holds, 'spark.result'));
  const found = $derived(isolation(session.judgement.context));
  const rows = $derived(voltages(session.judgement.context));
  const air = $derived(known(session.record.value('safe.air')) ?? 293);
  const ratio = $derived(shapeOf(session.judgement.context)?.shape.ratio ?? 7);
  const verdict = { fires: 'sound', fails: 'watch', 'cannot-tell': 'cannot-tell' } as const;
  const word = { fires: 'to spare', fails: 'not enough shown', 'cannot-tell': 'too close to call' } as const;

  let windingText = $state('');
  const winding = $derived(windingText.trim() ? parseQuantity(windingText, 'temperature', session.units) : undefined);
  const windingConditions = $derived<Conditions>(
    winding?.ok && winding.si > 230 && winding.si < 480 ? { temperature: winding.si } : {}
  );
</script>

<p class="my-3 border-l-4 border-hold pl-3 text-sm">
  {#if profile.ignition === 'coil-on-plug'}
    <strong class="font-semibold text-hold">Coil on plug.</strong> Unplug the primaries of the other coils and stop the injectors;
    the coil under test stays on its tester.
  {:else}
    <strong class="font-semibold text-hold">Ground every other lead.</strong> An open lead can kill an electronic ignition,
    and an arc beside a plug hole lights fuel mist.
  {/if}
  Never be the path to ground.
</p>
<div>
  {#each cylinders as c (c)}
    <RepeatedChoice
      what="spark.result"
      {item}
      cylinder={c}
      inline
      legend={cylinders.length > 1 ? `Cylinder ${c}` : 'Spark'}
      disabled={Boolean(stop)}
      {conditions}
    />
  {/each}
</div>
<Fold title="Lead, cap and coil, looked at" open={session.record.all('spark.leadLook').length > 0}>
  <div class="pb-3">
    <CylinderTable
      what={['spark.leadLook', 'spark.coilLook', 'spark.stray']}
      caption="Lead, coil and arcs astray of each cylinder"
    />
  </div>
</Fold>
{#if found}<EliminationPanel elimination={found} title="Which part it is" />{/if}

<h3 class="mt-5 text-xl">How strong</h3>
<CylinderTable
  what={['spark.gap', 'spark.colour', 'spark.steady']}
  caption="Gap jumped, colour and steadiness of each cylinder"
  heads={{ 'spark.gap': 'Open gap jumped' }}
  {conditions}
/>
<LimitLine id="spark.gap" />
<div class="mt-2 min-h-12" aria-live="polite">
  {#each rows as r (r.cylinder)}
    <p class="flex items-start gap-x-2 py-0.5">
      <Shape condition={verdict[r.verdict]} />
      <span
        >Cylinder {r.cylinder}: the plug needs about <strong class="sounding">{(r.needed / 1000).toFixed(1)}</strong>
        kV,
        <strong class="sounding">{(r.available / 1000).toFixed(1)}</strong> kV were shown: {word[r.verdict]}.</span
      >
    </p>
  {:else}
    <p class="text-sm">Open gap, plug gap and compression of a cylinder together say whether its plug will fire.</p>
  {/each}
</div>
<Fold title="Voltage over compression and gap">
  <BreakdownChart {rows} units={session.units} temperature={crankedTemperature(air, { ratio })} />
</Fold>
<Fold title="Winding resistances, cold and warm" open={session.record.all('spark.primary').length > 0}>
  <div class="space-y-3 pb-3">
    <label class="block max-w-64"
      ><span class="label-caps">Winding’s temperature now</span><input
        class="input w-full"
        placeholder={session.units === 'us' ? '60 °F' : '15 °C'}
        bind:value={windingText}
        aria-invalid={winding && !winding.ok ? 'true' : undefined}
      /></label
    >
    {#if winding && !winding.ok}<p class="font-medium text-error" role="alert">{winding.message}</p>{/if}
    <p class="text-sm">
      Read cold, and again warm after a run: copper grows by 0.39 % a degree; a coil that grows less shorts when it is
      hot.
    </p>
    <CylinderTable
      what={['spark.primary', 'spark.secondary']}
      caption="Coil windings of each cylinder"
      conditions={windingConditions}
    />
    <StationFields station="spark" only={['charge', 'trigger']} conditions={windingConditions} />
    <StationFields station="spark" only={['chargeTest', 'triggerTest']} />
    <LimitLine id="spark.primary" /><LimitLine id="spark.secondary" />
  </div>
</Fold>
<Fold
  title={allItems['spark.pointsGap'].when?.(profile) ? 'Points and timing' : 'Timing'}
  open={session.record.all('spark.pointsLook').length > 0}
>
  <div class="space-y-3 pb-3">
    <CylinderTable
      what={['spark.pointsGap', 'spark.pointsOhms', 'spark.pointsLook']}
      caption="Points of each cylinder"
    />
    {#if allItems['spark.pointsGap'].when?.(profile)}<LimitLine id="spark.pointsGap" />{/if}
    <StationFields station="spark" only={['rubBlock', 'timing', 'keyLook']} />
  </div>
</Fold>
