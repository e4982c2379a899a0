<script lang="ts">
  import type { Due } from '$core/care/due.ts';
  import type { EngineYear } from '$core/care/year.ts';
  import { say, type System } from '$core/units/index.ts';
  import { sayDate } from '$lib/ui/marks/day.ts';
  import MonthBars from './MonthBars.svelte';

  /** One page of an engine's year, for its owner to keep: what it ran, what was done, what was measured, what comes next. */
  let {
    tag,
    name,
    owner,
    of,
    due,
    units
  }: {
    tag: string;
    name: string;
    owner: string;
    of: EngineYear;
    due: readonly Due[];
    units: System;
  } = $props();
  const hours = (h: number): string => `${Math.round(h * 10) / 10} h`;
  const share = (x: number): string => `${Math.round(100 * x)} %`;
  const t = $derived(of.totals);
  /** What the log says of the year, a line each; what nobody wrote down is not there. */
  const ran = $derived(
    [
      `${t.outings} ${t.outings === 1 ? 'outing' : 'outings'}, ${hours(t.hours)}${t.unknown ? `, and ${t.unknown} of unknown length` : ''}`,
      of.meter ? `Hour meter from ${hours(of.meter.from)} to ${hours(of.meter.to)}` : '',
      t.idle === undefined ? '' : `${share(t.idle)} of it idling or trolling`,
      t.added ? `${say(t.added, 'volume', units)} of oil added` : '',
      of.weak ? `Stream weak or missing on ${of.weak} of them` : '',
      of.salt
        ? `${of.salt} in salt or brackish water${of.unflushed ? `, ${of.unflushed} of them not noted as flushed` : ', each flushed'}`
        : ''
    ].filter(Boolean)
  );
  const overdue = $derived(due.filter((d) => d.state === 'overdue'));
  const next = $derived(due.filter((d) => d.day && d.state !== 'overdue').slice(0, 12));
  const at = (on: string): string => sayDate(on, 'd MMM yyyy');
</script>

<article class="mx-auto max-w-3xl">
  <div class="flex flex-wrap items-end justify-between gap-3">
    <div>
      <h1 dir="auto">{tag}, the year {of.year}</h1>
      <p dir="auto">{[name, owner].filter(Boolean).join(' · ')}</p>
    </div>
    {#if of.years.length > 1}<nav class="no-print flex flex-wrap gap-2" aria-label="Years">
        {#each of.years as y (y)}<a
            class="btn {y === of.year ? 'btn-primary' : 'btn-outline btn-primary'}"
            href="?year={y}"
            aria-current={y === of.year ? 'page' : undefined}>{y}</a
          >{/each}
      </nav>{/if}
  </div>
  <section class="mt-4" aria-labelledby="ran-title">
    <h2 id="ran-title">What it ran</h2>
    {#if t.outings}
      <ul class="list-disc pl-5">
        {#each ran as line (line)}<li>{line}</li>{/each}
      </ul>
      {#if t.hours}<MonthBars hours={of.months} />{/if}
    {:else}<p>No outing was written down in {of.year}.</p>{/if}
  </section>
  <section class="mt-4" aria-labelledby="done-title">
    <h2 id="done-title">What was done</h2>
    {#if of.done.length || of.assessed.length}
      <ul>
        {#each of.assessed as e (e.on + e.title)}<li class="border-t border-line py-1.5">
            {at(e.on)}: in the yard, {e.title.toLowerCase()}
          </li>{/each}
        {#each of.done as e (e.on + e.title)}<li class="border-t border-line py-1.5">
            {at(e.on)}: <strong>{e.title}</strong>{e.hours === undefined ? '' : ` at ${hours(e.hours)}`}
          </li>{/each}
      </ul>
    {:else}<p>Nothing is on record for {of.year}.</p>{/if}
  </section>
  {#if of.figures.length}
    <section class="mt-4" aria-labelledby="measured-title">
      <h2 id="measured-title">What was measured</h2>
      <div class="overflow-x-auto">
        <table class="w-full">
          <thead
            ><tr class="text-left"
              ><th scope="col">What</th><th scope="col">{of.year}</th><th scope="col">Before</th></tr
            ></thead
          >
          <tbody>
            {#each of.figures as f (f.label)}<tr class="border-t border-line"
                ><th scope="row" class="py-1 pr-3 text-left font-normal">{f.label}</th><td class="py-1 pr-3"
                  ><span class="sounding">{f.value}</span>{#if f.worse}<span class="block text-sm font-semibold"
                      >going the wrong way</span
                    >{/if}</td
                ><td class="py-1"
                  >{#if f.before}<span class="sounding">{f.before.value}</span><span class="block text-sm"
                      >{at(f.before.on)}</span
                    >{:else}none to compare{/if}</td
                ></tr
              >{/each}
          </tbody>
        </table>
      </div>
    </section>
  {/if}
  <section class="mt-4" aria-labelledby="next-title">
    <h2 id="next-title">What comes next</h2>
    {#if overdue.length}<p class="font-semibold text-error">
        Overdue today: {overdue.map((d) => d.title).join('; ')}.
      </p>{/if}
    {#if next.length}
      <ul>
        {#each next as d (d.id)}<li class="border-t border-line py-1.5">
            by {at(d.day!)}: <strong>{d.title}</strong>{d.atHours === undefined
              ? ''
              : `, or at ${Math.round(d.atHours)} engine hours`}
          </li>{/each}
      </ul>
    {:else if !overdue.length}<p>Nothing has a date.</p>{/if}
  </section>
  <p class="mt-4 text-sm">
    Written from what was entered; what nobody wrote down is not here. The maker’s manual stands above this page.
  </p>
</article>
