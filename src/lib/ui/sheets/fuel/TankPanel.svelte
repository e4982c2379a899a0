<script lang="ts">
  import { askedMix } from '$core/stations/fuel/asked-mix.ts';
  import { stabilising, tankFix } from '$core/stations/fuel/correct.ts';
  import { oilWay } from '$core/stations/fuel/oil-way.ts';
  import { sayLimit } from '$core/findings/limit.ts';
  import { say } from '$core/units/index.ts';
  import { useSession } from '../../session/session.svelte.ts';
  import StationFields from '../../survey/StationFields.svelte';

  /** What has to go into this tank: oil for the mixture with the cup at hand, and stabiliser with how long it must run. */
  const session = useSession();
  const c = $derived(session.judgement.context);
  const way = $derived(oilWay(c));
  const premix = $derived(way === 'fuel' || way === 'unsaid');
  const asked = $derived(askedMix(c));
  const fix = $derived(tankFix(c));
  const stab = $derived(stabilising(c));
  const fine = $derived(session.units === 'us' ? 3e-6 : 1e-6);
  const v = (x: number): string => say(x, 'volume', session.units, fine);
  const fuel = $derived(session.record.value('fuel.tankOil') === 'plain');
</script>

<StationFields
  station="fuel"
  only={[
    'tankHas',
    ...(premix ? ['tankOil'] : []),
    ...(premix && !fuel ? ['tankMix'] : []),
    'freshAdd',
    ...(premix ? ['cup'] : [])
  ]}
/>
{#if premix}
  <div class="mt-3 min-h-20 border-l-4 border-primary pl-3" aria-live="polite">
    {#if !asked}<p>This engine’s premix ratio is not entered: profile or manual first.</p>
    {:else if !fix}<p>
        {Math.round(asked.ratio)}:1 is asked{asked.richer
          ? `, one step more oil than ${sayLimit(asked.wanted, session.units)} for the first tank`
          : ` (${sayLimit(asked.wanted, session.units)})`}. Say what is in the tank and what goes in.
      </p>
    {:else}
      <p class="text-lg">
        {#if fix.oil > 0}Add <strong class="sounding text-2xl">{v(fix.oil)}</strong> of oil for {Math.round(
            asked.ratio
          )}:1.
        {:else}Oil enough already.{fix.moreFuel > 0
            ? ` ${say(fix.moreFuel, 'tank', session.units)} of plain fuel brings it to ${Math.round(asked.ratio)}:1; more oil only smokes.`
            : ''}{/if}
      </p>
      {#if fix.least !== undefined}<p>
          Nobody knows what is mixed in already: between {v(fix.least)} and {v(fix.oil)}. Too much oil only smokes, so {v(
            fix.oil
          )}; or drain it.
        </p>{/if}
      {#if fix.pour}<p>
          With this cup: pour {v(fix.pour.oil)}. That makes {fix.pour.ratio.toFixed(1)}:1, {Math.abs(
            fix.pour.error * 100
          ).toFixed(0)} % {fix.pour.error >= 0 ? 'more oil than asked: the safe side' : 'less oil than asked'}.
        </p>
        <button
          type="button"
          class="btn btn-outline btn-primary mt-1"
          onclick={() => {
            session.read('fuel.oilAdded', fix.pour!.oil);
            session.read('fuel.mix', Math.min(1000, Math.max(1, fix.pour!.ratio)));
          }}>Poured it: {fix.pour.ratio.toFixed(0)}:1 is in the tank</button
        >{/if}
      <p class="mt-1 text-sm">Judged by: {asked.school}.</p>
    {/if}
  </div>
{/if}
<h4 class="mt-4 mb-1 font-semibold">Stabiliser</h4>
<StationFields station="fuel" only={['doseOil', 'dosePer', 'lineVolume', 'idleFlow']} />
<p class="mt-2 min-h-12 border-l-4 border-primary pl-3" aria-live="polite">
  {#if stab.dose !== undefined}{v(stab.dose)} for what will be in the tank.{/if}
  {#if stab.minutes !== undefined}Treated fuel is through after {Math.ceil(stab.minutes)} min at idle, twice the volume; the
    fixed rule says {stab.fixed[0]} to {stab.fixed[1]} min.
    <strong class="font-semibold">Run it {Math.ceil(stab.counts ?? stab.minutes)} min</strong>
    ({stab.school}).{:else if stab.dose === undefined}Dose by its label; the run time follows from what line and bowl
    hold and the flow at idle.{/if}
</p>
