<script lang="ts">
  import { say } from '$core/units/index.ts';
  import OilLogChart from '$lib/ui/care/OilLogChart.svelte';
  import OutingForm from '$lib/ui/care/OutingForm.svelte';
  import Fold from '$lib/ui/marks/Fold.svelte';
  import { sayDate } from '$lib/ui/marks/day.ts';
  import Shape from '$lib/ui/marks/Shape.svelte';

  let { data, form } = $props();
  const units = $derived(data.prefs.units);
  const base = $derived(`/engines/${data.engineId}`);
  const errors = $derived((form && 'errors' in form ? form.errors : {}) as Record<string, string>);
  const typed = $derived((form && 'typed' in form ? form.typed : {}) as Record<string, string>);
  const shape = {
    rises: 'fault',
    falls: 'watch',
    steady: 'sound',
    'cannot-tell': 'cannot-tell',
    'no-dips': 'not-looked-at'
  } as const;
  const mm = (si: number): string => say(si, 'level', units);
  const newest = $derived(data.list.toReversed());
  type Entry = (typeof data.list)[number];
  const told = (o: Entry): string =>
    [
      o.hours === undefined ? 'hours unknown' : `${o.hours.toFixed(1)} h${o.metered ? '' : ', estimated'}`,
      o.idle === undefined ? '' : `${Math.round(100 * o.idle)} % idling`,
      o.changed ? 'oil changed before' : '',
      o.added ? `${say(o.added, 'volume', units)} of oil added` : '',
      o.oilBefore === undefined ? '' : `oil before ${mm(o.oilBefore)}`,
      o.oilAfter === undefined ? '' : `after ${mm(o.oilAfter)}`,
      o.tilted ? 'dipped trimmed: not counted' : '',
      o.stream ? `stream ${o.stream}` : '',
      o.water ? `${o.water} water` : '',
      o.flushed === undefined ? '' : o.flushed ? 'flushed' : 'not flushed',
      o.backward ? 'the meter stands lower than before: another meter, or a slip' : ''
    ]
      .filter(Boolean)
      .join('; ');
</script>

<svelte:head><title>Outings · {data.tag} · Indaga</title></svelte:head>

<div class="mb-3 flex flex-wrap items-end justify-between gap-3">
  <div>
    <h1>Outings of {data.tag}</h1>
    <p class="text-sm">
      {data.totals.outings}
      {data.totals.outings === 1 ? 'outing' : 'outings'}, {data.totals.hours.toFixed(1)} h{data.totals.unknown
        ? `, of ${data.totals.unknown} the hours are unknown`
        : ''}{data.totals.idle === undefined
        ? ''
        : `; ${Math.round(100 * data.totals.idle)} % idling`}{data.headHours === undefined
        ? ''
        : `; the head stands at ${data.headHours.toFixed(1)} h`}.
    </p>
  </div>
  <a class="btn btn-outline btn-primary" href="{base}/care">Care</a>
</div>
<div class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_24rem]">
  <div class="order-2 space-y-4 lg:order-1">
    {#if data.stage}
      <section class="panel p-3" aria-labelledby="stage-title">
        <h2 id="stage-title">Break-in, at the next outing</h2>
        <p class="text-lg">{data.stage}</p>
      </section>
    {/if}
    {#if data.oil}
      <section class="panel p-3" aria-labelledby="oil-title">
        <h2 id="oil-title" class="flex items-center gap-2">
          <Shape condition={shape[data.oil.verdict]} size={20} word={false} />Does it make oil?
        </h2>
        <p class="mt-1 text-lg leading-snug">{data.oil.sentence}</p>
        <p class="mt-1 font-semibold">{data.oil.advice}</p>
        {#if data.oil.dips.length > 1}<OilLogChart oil={data.oil} gap={data.gap} />{/if}
        <Fold title="Because">
          <ul class="list-disc pl-5 text-sm">
            {#each data.oil.because as b (b)}<li>{b}</li>{/each}
          </ul>
        </Fold>
      </section>
    {/if}
    <section aria-labelledby="list-title">
      <h2 id="list-title">The log</h2>
      {#if form && 'kept' in form}<p class="font-semibold text-success" role="status">Kept.</p>{/if}
      {#if form && 'takenBack' in form}<p class="font-semibold" role="status">
          Taken back; it stays in the engine’s history.
        </p>{/if}
      <ul class="mt-1">
        {#each newest as o (o.id)}
          <li class="flex items-start justify-between gap-3 border-t border-line py-2">
            <div class="min-w-0">
              <p class="font-semibold">
                {sayDate(o.on, 'd MMM yyyy')}{o.meter === undefined ? '' : ` · meter ${o.meter.toFixed(1)} h`}
              </p>
              <p class="text-sm">{told(o)}.</p>
              {#if o.remark}<p class="wrap-anywhere" dir="auto">{o.remark}</p>{/if}
            </div>
            <form method="POST" action="?/back">
              <input type="hidden" name="outing" value={o.id} />
              <button
                class="btn btn-ghost whitespace-nowrap"
                aria-label="Take back the outing of {sayDate(o.on, 'd MMM yyyy')}">Take back</button
              >
            </form>
          </li>
        {:else}
          <li class="border-t border-line py-3">
            Nothing is written down yet. A line after each outing tells hours for the care list, and after a few dips
            whether the oil rises.
          </li>
        {/each}
      </ul>
    </section>
  </div>
  <div class="order-1 lg:order-2">
    {#key data.name}<OutingForm name={data.name} four={data.four} action="?/log" {errors} {typed} />{/key}
  </div>
</div>
