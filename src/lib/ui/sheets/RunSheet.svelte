<script lang="ts">
  import QuickFigures from '../survey/QuickFigures.svelte';
  import type { Item } from '$core/items/item.ts';
  import { allItems } from '$core/stations/items.ts';
  import { compareRuns } from '$core/stations/run/compare.ts';
  import { sayBeside } from '$core/stations/run/compare-words.ts';
  import { mainTrack, runsOf } from '$core/stations/run/runs.ts';
  import { clock, warmingOf } from '$core/stations/run/warming.ts';
  import { warmingSaid } from '$core/stations/run/warming-words.ts';
  import { say } from '$core/units/index.ts';
  import Fold from '../marks/Fold.svelte';
  import LimitLine from '../survey/LimitLine.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';
  import Before from './run/Before.svelte';
  import Entries from './run/Entries.svelte';
  import { saveCsv } from './run/export.ts';
  import LogPanel from './run/LogPanel.svelte';
  import Watch from './run/Watch.svelte';
  import WarmChart from './run/WarmChart.svelte';

  /** The first run: gates, then the clock with its entries, then what it showed and how it compares. */
  const session = useSession();
  const c = $derived(session.judgement.context);
  const runs = $derived(runsOf(c));
  const live = $derived(runs.findLast((r) => !r.stoppedAt));
  const shown = $derived(live ?? runs.at(-1));
  const warming = $derived(shown && warmingOf(c, shown));
  const earlier = $derived(shown ? runs.slice(0, runs.indexOf(shown)).findLast((r) => mainTrack(r)) : undefined);
  const beside = $derived(shown && earlier && warming ? compareRuns(c, earlier, shown) : undefined);
  const grave = $derived(warming && ['over', 'will-pass', 'odd'].includes(warming.state));
  /** Tapped Stop: the run has ended already, this asks why. */
  let asking = $state(false);
  let why = $state('');
  const reasons = (allItems['run.reason'] as Extract<Item, { kind: 'choice' }>).options.filter(
    (o) => o.value !== 'unknown' && o.value !== 'other'
  );

  function stop(): void {
    session.read('run.event', 'stop');
    if (live)
      session.read('run.minutes', Math.min(600, Math.max(0.1, (Date.now() - live.startedAt.getTime()) / 60_000)));
    asking = true;
  }
  function settled(): void {
    session.read('run.outcome', 'ran');
    asking = false;
  }
  /** What was seen is the reason for stopping; what caused it is found later and written down apart. */
  function stoppedFor(reason: string, remark = ''): void {
    session.read('run.outcome', 'stopped');
    session.read('run.reason', reason);
    if (remark) session.read('run.remark', remark);
    [asking, why] = [false, ''];
  }
  /** What only some answers ask for is not in the way of the others. */
  const leaks = $derived(
    session.record.value('run.leakAt') !== undefined ||
      ['fuel', 'oil', 'water'].includes(String(session.record.value('run.leaks')))
  );
  const uneven = $derived(
    session.record.value('run.air') !== undefined ||
      ['spits', 'shakes'].includes(String(session.record.value('run.idles')))
  );
</script>

{#if live}
  {#if grave}<p class="mb-2 border-4 border-error p-3 text-xl font-semibold text-error" role="alert">
      {warmingSaid(warming!, session.units)}
    </p>{/if}
  <Watch run={live} onstop={stop} />
{:else if asking}
  <section class="panel p-4" aria-label="Why it was stopped">
    <h3 class="text-xl">Stopped. How did it end?</h3>
    <button type="button" class="btn btn-primary mt-2 min-h-14 w-full" onclick={settled}
      >It ran and settled; stopped on purpose</button
    >
    <p class="label-caps mt-3">Stopped early because of</p>
    <div class="mt-1 flex flex-wrap gap-1.5">
      {#each reasons as r (r.value)}<button type="button" class="chip min-h-12" onclick={() => stoppedFor(r.value)}
          >{r.label}</button
        >{/each}
    </div>
    <form
      class="mt-2 flex gap-1.5"
      onsubmit={(e) => (e.preventDefault(), why.trim() && stoppedFor('other', why.trim()))}
    >
      <label class="grow"
        ><span class="sr-only">Another cause</span><input
          class="input w-full"
          placeholder="something else, in a few words"
          bind:value={why}
        /></label
      >
      <button class="btn btn-outline btn-primary">Record it</button>
    </form>
  </section>
{:else}
  <Before again={runs.length > 0} onstart={() => session.read('run.event', 'start')} />
{/if}

{#if shown && warming}
  <section class="mt-4" aria-label="Temperature of {shown.label}">
    <div class="mb-1 flex flex-wrap items-baseline justify-between gap-2">
      <h3 class="text-xl">{shown.label}{shown.minutes ? `, ${clock(shown.minutes * 60)}` : ''}</h3>
      {#if shown.hottest}<span class="text-sm"
          >hottest {say(shown.hottest.temperature, 'temperature', session.units)} at {clock(
            shown.hottest.seconds
          )}</span
        >{/if}
    </div>
    <p class="mb-2 text-lg {grave ? 'font-semibold text-error' : ''}" aria-live="polite">
      {warmingSaid(warming, session.units)}
    </p>
    <WarmChart run={shown} {warming} before={earlier} />
    {#if beside}<p class="mt-2 border-l-4 border-primary pl-3">{sayBeside(beside, session.units)}</p>{/if}
  </section>
{/if}
<div class="mt-3"><LimitLine id="cooling.hot" /></div>

{#if runs.length}
  <ul class="mt-3 divide-y divide-line border-y border-line text-sm" aria-label="Runs so far">
    {#each runs as r (r.id)}
      <li class="flex flex-wrap items-center justify-between gap-2 py-1">
        <span
          >{r.label} · {r.startedAt.toISOString().slice(0, 16).replace('T', ' ')} · {r.stoppedAt
            ? clock(r.minutes * 60)
            : 'running'}{r.silent ? ', end not recorded' : ''}{r.gap
            ? `, a gap of ${Math.round(r.gap / 60)} min in the log`
            : ''}</span
        >
        <button
          type="button"
          class="btn btn-outline btn-primary"
          onclick={() => saveCsv(r, `${session.survey.engine.identity.tag ?? 'engine'} ${r.label}.csv`)}
          >Save as CSV</button
        >
      </li>
    {/each}
  </ul>
{/if}
{#if shown && !shown.logged}<Fold lazy title="Entries of {shown.label}" note="each can be taken back"
    ><Entries run={shown} /></Fold
  >{/if}
<h3 class="mt-5 mb-2 text-xl">What it showed</h3>
<StationFields
  station="run"
  only={[
    'outcome',
    'reason',
    'minutes',
    // While it runs they are taken by the clock, above.
    ...(live ? [] : ['stream', 'exhaust']),
    'lamp',
    'smoke',
    'leaks',
    ...(leaks ? ['leakAt'] : []),
    'gears',
    'idles',
    'noise',
    ...(uneven ? ['air'] : []),
    'second',
    'idle',
    'pulls',
    'plugAfter',
    'longRun',
    'cause'
  ]}
/>
<Fold large lazy title="Logger’s file" note="CSV in"><div class="pb-3"><LogPanel /></div></Fold>
<QuickFigures station="run" example="temp 61 °C" />
