<script lang="ts">
  import { labelsOf } from '$core/drowned/labels.ts';
  import { beforeAfter } from '$core/history/before-after.ts';
  import BeforeAfterTable from '$lib/ui/survey/BeforeAfterTable.svelte';
  import { insidesOf } from '$lib/ui/survey/insides.ts';
  import JobCard from '$lib/ui/survey/JobCard.svelte';
  import { orderOf } from '$core/parts/lines.ts';
  import { partLines } from '$core/record/part-lines.ts';
  import { stations } from '$core/stations/register.ts';
  import { secondLookMark, secondLooks } from '$core/plan/second-look.ts';
  import { walkFor } from '$core/plan/walk.ts';
  import { whileOpen } from '$core/plan/while-open.ts';
  import FastenerList from '$lib/ui/tray/FastenerList.svelte';
  import { fastenersOf } from '$core/tray/fasteners.ts';
  import NowCard from '$lib/ui/survey/NowCard.svelte';
  import JobForm from '$lib/ui/jobs/JobForm.svelte';
  import OwnersWord from '$lib/ui/jobs/OwnersWord.svelte';
  import { useSession } from '$lib/ui/session/session.svelte.ts';

  let { data } = $props();
  const session = $derived(useSession());
  const j = $derived(session.judgement);
  const steps = $derived(session.concluded.steps);
  const open = $derived(steps.filter((s) => s.state === 'open'));
  /** The one that is the next thing to do, else the first. */
  const atHand = $derived(session.moves.find((m) => m.kind === 'job' && !m.waits)?.job ?? open[0]?.id);
  const closed = $derived(steps.filter((s) => s.state !== 'open'));
  /** Long and late work, by its job, with the second look at it. */
  const second = $derived(new Map(secondLooks(session.survey, steps).map((l) => [l.job, l])));
  const labels = $derived(labelsOf(j.context, j.holds));
  const rows = $derived(beforeAfter(j.context));
  const base = $derived(`/surveys/${session.surveyId}`);
  const titles = $derived(Object.fromEntries(steps.map((s) => [s.id, s.title])));
  const minutes = $derived(open.reduce((sum, s) => sum + s.minutes, 0));
  const order = $derived(orderOf(partLines(session.survey), steps));
  const doors = $derived(whileOpen(steps).filter((d) => d.jobs.length > 1 || d.looks.length));
  /** The next three looks are carried for at once. */
  const looks = $derived((session.advice?.checks ?? []).filter((c) => c.worthIt && !c.waits).slice(0, 3));
  const carry = $derived(
    walkFor(
      steps,
      looks.map((l) => ({ tools: stations[l.station].tools }))
    )
  );
  const walk = $derived([
    ['Tools', carry.tools],
    ['Special tools', carry.special],
    ['Parts to have', carry.parts],
    ['New ones: these go on once', carry.oneTime],
    ['Consumables', carry.consumables]
  ] as const);
  const sockets = $derived(
    fastenersOf(
      data.fasteners,
      open.map((s) => s.id)
    )
  );
  const wants = $derived(order.filter((l) => l.state !== 'arrived' && l.state !== 'not-needed').length);
  let editing = $state<string>();
  const edited = $derived(steps.find((s) => s.id === editing));
</script>

<svelte:head><title>Job list · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head>

<div class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_19rem]">
  <section aria-labelledby="jobs-title">
    <h2 id="jobs-title" class="text-2xl">Job list</h2>
    {#if steps.length === 0}
      <div class="panel mt-2 p-6">
        <h3>Nothing is demanded</h3>
        <p class="mt-1">No finding so far asks for work.</p>
      </div>
    {:else}
      <p class="text-sm">
        {open.length
          ? `${open.length} open, about ${minutes} minutes of hands; in the order they are done.`
          : 'Every job is done.'}
      </p>
      <ol class="mt-2 space-y-2">
        {#each open as step, k (step.id)}<li>
            <JobCard
              {step}
              insides={insidesOf(j.context, step.id)}
              number={k + 1}
              open={step.id === atHand}
              {base}
              {titles}
              {order}
              onedit={() => (editing = step.id)}
              onmark={(state, note, late) => session.mark(step.id, state, note, late)}
            />
          </li>{/each}
      </ol>
      {#if closed.length}
        <h3 class="mt-5 mb-2">Done</h3>
        <ol class="space-y-2">
          {#each closed as step (step.id)}<li>
              <JobCard
                {step}
                insides={insidesOf(j.context, step.id)}
                {base}
                {titles}
                open={step.state === 'done' || (second.has(step.id) && !second.get(step.id)!.looked)}
                second={second.get(step.id)}
                onlook={() => session.mark(secondLookMark(step.id), 'done')}
                onmark={(state, note) => session.mark(step.id, state, note)}
              />
            </li>{/each}
        </ol>
      {/if}
    {/if}
    <p class="mt-3">
      <button type="button" class="btn btn-outline btn-primary" onclick={() => (editing = 'new')}>Add a job</button>
    </p>
    {#if doors.length}
      <section class="panel mt-5 p-3" aria-labelledby="open-title">
        <h3 id="open-title" class="text-lg">While it is open</h3>
        <ul class="mt-1 space-y-2">
          {#each doors as d (d.opening)}
            <li>
              <p>
                <strong class="first-letter:uppercase">{d.label}</strong> for {d.jobs.join('; ').toLowerCase()}.
                {#if d.saved}<span class="font-medium text-success">Together they save {d.saved} min.</span>{/if}
              </p>
              {#if d.looks.length}<ul class="list-disc pl-5 text-sm">
                  {#each d.looks as l (l.text)}<li>
                      {l.text}: {l.minutes} min now, {l.minutes + l.saved} min another day.
                    </li>{/each}
                </ul>{/if}
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    {#if rows.length}
      <h3 class="mt-5 mb-2">Before and after</h3>
      <BeforeAfterTable {rows} />
    {/if}
  </section>
  <aside aria-label="To take to the engine" class="max-lg:order-first">
    <div class="mb-3"><NowCard moves={session.moves} {base} /></div>
    <div class="panel p-3">
      <h2>One walk to the engine</h2>
      {#each walk as [label, list] (label)}
        {#if list.length}<h3 class="label-caps mt-3">{label}</h3>
          <ul class="list-disc pl-5">
            {#each list as item (item)}<li>{item}</li>{/each}
          </ul>{/if}
      {/each}
      {#if sockets.length}<div class="mt-3"><FastenerList list={sockets} /></div>{/if}
      {#if looks.length}<p class="mt-3 text-sm">
          Tools for the next looks are among them: {looks.map((l) => l.title.toLowerCase()).join(', ')}.
        </p>{/if}
      {#if !open.length && !looks.length}<p class="text-sm">Nothing to carry.</p>{/if}
      {#if order.length}<p class="mt-3">
          <a class="btn btn-outline btn-primary w-full" href="/parts?engine={session.engineId}"
            >Parts order{wants ? ` · ${wants} open` : ''}</a
          >
        </p>{/if}
      <p class="mt-2"><a class="btn btn-outline btn-primary w-full" href="{base}/tray">Tray: what is off</a></p>
      {#if labels.length}
        <h3 class="label-caps mt-3">Labels to hang on it</h3>
        <p>{labels.map((l) => l.text).join(', ')}. <a class="plain-link" href="{base}/labels">Print them</a></p>
      {/if}
    </div>
    <OwnersWord />
  </aside>
</div>
{#if editing}
  <JobForm
    step={edited}
    others={steps.filter((s) => s.id !== editing && s.state === 'open')}
    onclose={() => (editing = undefined)}
  />
{/if}
