<script lang="ts">
  import { clock as serverClock } from '$lib/ui/session/clock.ts';
  import { refusal } from '$core/holds/against.ts';
  import { isAfter } from '$core/units/instant.ts';
  import { cylinderCount } from '$core/engine/profile.ts';
  import { duePrompts } from '$core/stations/run/prompts.ts';
  import { type Run, type Spot } from '$core/stations/run/runs.ts';
  import { clock } from '$core/stations/run/warming.ts';
  import { allItems, type ItemId } from '$core/stations/items.ts';
  import type { Item } from '$core/items/item.ts';
  import { onMount } from 'svelte';
  import { useSession } from '../../session/session.svelte.ts';
  import Strip from '../../instruments/Strip.svelte';
  import Stepper from './Stepper.svelte';

  /** The run under way: the clock, what is due now, entries by one thumb, and Stop. */
  let { run, onstop }: { run: Run; onstop: () => void } = $props();
  const session = useSession();
  let now = $state.raw(session.now);
  let spot = $state<Spot>('head');
  let remark = $state('');
  onMount(() => {
    now = serverClock.date();
    const tick = setInterval(() => (now = serverClock.date()), 1000);
    return () => clearInterval(tick);
  });
  const seconds = $derived(Math.max(0, (now.getTime() - run.startedAt.getTime()) / 1000));
  /** What a hold forbids is not asked for: no shifting with pieces on the magnet. */
  const due = $derived(
    duePrompts(session.judgement.context, run, seconds).filter(
      (p) => p.item !== 'run.gears' || refusal(session.judgement.holds, 'run.gears', 'both') === undefined
    )
  );
  const v = $derived(
    session.survey.engine.profile.layout === 'v' || (cylinderCount(session.survey.engine.profile) ?? 1) > 4
  );
  const choices = $derived(
    (v ? ['head-port', 'head-starboard', 'thermostat', 'head'] : ['head', 'thermostat', 'exhaust', 'stream']) as Spot[]
  );
  const short: Record<Spot, string> = {
    head: 'head',
    'head-port': 'port head',
    'head-starboard': 'starboard head',
    thermostat: 'thermostat',
    block: 'block',
    exhaust: 'exhaust',
    stream: 'stream'
  };
  const us = $derived(session.units === 'us');
  const lastAt = $derived(run.tracks.find((t) => t.spot === spot)?.samples.at(-1)?.temperature);
  const air = $derived(session.record.value('safe.air'));
  const rpm = $derived(run.rpm.at(-1)?.rpm ?? 900);
  /** Without an indicator the water is looked for at the exhaust. */
  const fitted = $derived(session.survey.engine.profile.indicator !== 'not-fitted');
  const since = $derived(run.startedAt.toISOString());
  const seen = $derived(
    fitted ? run.streams.at(-1)?.value : session.record.all('run.exhaust').findLast((r) => !isAfter(since, r.at))?.value
  );
  const volts = $derived(session.record.all('run.volts').findLast((r) => !isAfter(since, r.at))?.value);
  const optionsOf = (id: ItemId) => {
    const item = allItems[id] as Item;
    return item.kind === 'choice' ? item.options.filter((o) => o.value !== 'not-fitted') : [];
  };
  function say(): void {
    if (!remark.trim()) return;
    session.read('run.remark', remark.trim());
    remark = '';
  }
</script>

<div class="flex flex-wrap items-center gap-3">
  <p role="timer" aria-label="Running for {clock(seconds)}" class="sounding order-1 text-7xl leading-none">
    {clock(seconds)}
  </p>
  <div class="order-3 min-h-16 w-full min-w-48 sm:order-2 sm:w-auto sm:flex-1" aria-live="polite">
    {#if due[0]}
      {@const p = due[0]}
      <p class="text-lg">
        <strong class="font-semibold">{p.ask}</strong>{due.length > 1 ? ` (${due.length - 1} more)` : ''}
      </p>
      {#if p.item !== 'run.temperature'}
        <div class="mt-1 flex flex-wrap gap-1.5" role="group" aria-label={p.ask}>
          {#each optionsOf(p.item) as o (o.value)}<button
              type="button"
              class="chip min-h-12"
              onclick={() => session.read(p.item, o.value)}>{o.label}</button
            >{/each}
        </div>
      {/if}
    {:else}<p>Watch stream, temperature and smoke. Nothing is due this second.</p>{/if}
  </div>
  <button
    type="button"
    class="order-2 ml-auto min-h-20 min-w-36 bg-error px-6 text-2xl font-semibold text-error-content"
    onclick={onstop}>Stop</button
  >
</div>

<Strip
  units={session.units}
  names={['head', 'headp', 'heads', 'tach', 'batt']}
  arms={[{ label: 'Log this run', arm: { kind: 'run' } }]}
  armed={() => 'temperatures once a second, speed and volts as they change'}
/>
<div class="mt-3 grid gap-3 md:grid-cols-2">
  <div>
    <div class="mb-1 flex flex-wrap gap-1" role="group" aria-label="Where the temperature is taken">
      {#each choices as s (s)}<button type="button" class="chip" aria-pressed={spot === s} onclick={() => (spot = s)}
          >{short[s]}</button
        >{/each}
    </div>
    <Stepper
      label="Temperature"
      dimension="temperature"
      units={session.units}
      last={lastAt ?? (typeof air === 'number' ? air : 288.15)}
      steps={us ? [2, 10] : [1, 5]}
      ontake={(si, typed) => session.read('run.temperature', si, { typed, conditions: { spot } })}
    />
  </div>
  <div class="space-y-2">
    <div>
      <p class="label-caps">{fitted ? 'Stream' : 'Water with the exhaust'}</p>
      <div
        class="mt-1 grid grid-cols-3 gap-1"
        role="group"
        aria-label={fitted ? 'Indicator stream' : 'Water with the exhaust'}
      >
        {#each optionsOf(fitted ? 'run.stream' : 'run.exhaust').filter((o) => o.value !== 'unknown') as o (o.value)}
          <button
            type="button"
            class="chip min-h-14 justify-center text-lg"
            aria-pressed={seen === o.value}
            onclick={() => session.read(fitted ? 'run.stream' : 'run.exhaust', o.value)}>{o.label}</button
          >
        {/each}
      </div>
    </div>
    <Stepper
      label="Engine speed"
      dimension="speed"
      units={session.units}
      last={rpm}
      steps={[50, 200]}
      ontake={(si, typed) => session.read('run.rpm', si, { typed })}
    />
  </div>
</div>
<form class="mt-2 flex gap-1.5" onsubmit={(e) => (e.preventDefault(), say())}>
  <label class="grow"
    ><span class="sr-only">Remark</span><input
      class="input w-full"
      placeholder="Remark: noise, vibration, what was done"
      maxlength="200"
      bind:value={remark}
    /></label
  >
  <button class="btn btn-outline btn-primary">Note it</button>
</form>
{#if session.survey.engine.profile.starting !== 'rope'}
  <div class="mt-2 max-w-72">
    <Stepper
      label="Volts at the battery"
      dimension="voltage"
      units={session.units}
      last={typeof volts === 'number' ? volts : 13}
      steps={[0.1, 1]}
      ontake={(si, typed) => session.read('run.volts', si, { typed })}
    />
  </div>
{/if}
