<script lang="ts">
  import { partNumbers } from '$core/engine/card.ts';
  import { sayMinutes } from '$core/units/duration.ts';
  import { benchList, waitingOf, type Procedure } from '$core/procedures/procedure.ts';
  import { BEGIN, jobsMarked, procedureMark, progressOf, putTogether } from '$core/procedures/progress.ts';
  import { refusedAct } from '$core/holds/against.ts';
  import type { Hold } from '$core/holds/hold.ts';
  import { jobOf } from '$core/jobs/register.ts';
  import { stations } from '$core/stations/register.ts';
  import type { Instant } from '$core/units/instant.ts';
  import { sayDate } from '../marks/day.ts';
  import HazardLines from '../marks/HazardLines.svelte';
  import Shape from '../marks/Shape.svelte';
  import Swipe from '../marks/Swipe.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import StepCard from './StepCard.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import ArrowLeft from '@lucide/svelte/icons/arrow-left';
  import ArrowRight from '@lucide/svelte/icons/arrow-right';
  import { untrack, type Snippet } from 'svelte';

  /** A procedure being worked: the bench first, then step by step; the whole list beside it, each step one tap away. */
  interface Props {
    procedure: Procedure;
    /** What keeps it from being finished. */
    held?: readonly Hold[];
    /** What is known of its fasteners, on the bench. */
    fasteners?: Snippet;
    /** Above the steps. */
    head?: Snippet;
    /** What else is closed with it, beside its end. */
    closes?: Snippet;
    /** Said where it is finished. */
    after?: Snippet;
    /** What else is marked when it is finished. */
    onfinish?: (note: string | undefined, put: Instant | undefined) => void;
    /** The work is done, and only what proves it is left: since when. */
    onput?: (at: Instant) => void;
  }
  let { procedure, held = [], fasteners, head, closes, after, onfinish, onput }: Props = $props();
  const session = useSession();
  const c = $derived(session.judgement.context);
  const progress = $derived(progressOf(c, procedure));
  const steps = $derived(progress.steps);
  const bench = $derived(
    benchList(
      procedure,
      steps.map((s) => s.step)
    )
  );
  /** A part with its number, where the engine's card has one. */
  const numbered = (part: string): string => [part, ...partNumbers(session.survey.engine.card, part)].join(': ');
  const waiting = $derived(waitingOf(steps.map((s) => s.step)));
  const base = $derived(`/surveys/${session.surveyId}`);
  /** The step in hand: the one that was asked for, else the one that was open first when the page was. It stays when a reading ticks it. */
  const first = untrack(() => progressOf(session.judgement.context, procedure).next?.step.id);
  const asked = $derived(page.url.searchParams.get('step') ?? first);
  const found = $derived(steps.findIndex((s) => s.step.id === asked));
  const at = $derived(found < 0 ? Math.max(0, steps.length - 1) : found);
  const here = $derived(steps[at]);
  const left = $derived(steps.length - progress.done);
  /** A step at which the engine is cranked or started is not done while a hold forbids it. */
  const refused = $derived(
    here?.step.act && !here.done ? refusedAct(session.judgement.holds, here.step.act) : undefined
  );
  /** Jobs that were marked done while it was worked, and whether this step is one that comes after that. */
  const marked = $derived(jobsMarked(session.survey, procedure, progress));
  const proving = $derived(steps.slice(0, at + 1).some((s) => s.step.proves));
  let note = $state('');
  let complaint = $state('');

  const to = (k: number): string => `?step=${steps[Math.min(steps.length - 1, Math.max(0, k))]?.step.id ?? ''}`;

  /** On to the next open step, an earlier one where none is open after this; ticks this one first where it is open. */
  function onward(): void {
    if (!here) return;
    if (!here.done) session.mark(procedureMark(procedure, here.step.id), 'done');
    const put = putTogether(progress);
    if (put?.whole) onput?.(put.at);
    const open = progress.steps.map((s, k) => ({ ...s, k })).filter((s) => !s.done);
    const next = open.find((s) => s.k > at) ?? open[0];
    if (next) void goto(`?step=${next.step.id}`, { noScroll: true, keepFocus: true });
  }

  function finish(): void {
    if (left && !note.trim()) {
      complaint = 'Say in a few words why the rest was left out.';
      return;
    }
    complaint = '';
    const put = putTogether(progress);
    session.mark(procedureMark(procedure), 'done', note.trim() || undefined);
    onfinish?.(note.trim() || undefined, put?.at);
    note = '';
  }
</script>

<div class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_21rem]">
  <div class="min-w-0">
    <h2 class="text-2xl">{procedure.title}</h2>
    <p class="text-sm">
      {procedure.means}
      {procedure.minutes} min of hands{waiting ? `, ${sayMinutes(waiting)} of waiting` : ''}.
    </p>
    {@render head?.()}
    {#if progress.began === undefined && !progress.finished}
      <section class="panel mt-3 p-4" aria-labelledby="bench-title">
        <h3 id="bench-title">On the bench before the first bolt</h3>
        <div class="mt-2">
          <HazardLines ids={[...procedure.hazards, ...steps.flatMap((s) => s.step.careful ?? [])]} brief />
        </div>
        <dl class="mt-2 space-y-2">
          {#each [['Tools', bench.tools], ['Parts, new ones among them', bench.parts.map(numbered)]] as const as [label, list] (label)}
            {#if list.length}<div>
                <dt class="label-caps">{label}</dt>
                <dd>{list.join(', ')}</dd>
              </div>{/if}
          {/each}
          <div>
            <dt class="label-caps">What goes wrong with it</dt>
            <dd>
              <ul class="list-disc pl-5">
                {#each procedure.wrong as w (w)}<li>{w}</li>{/each}
              </ul>
            </dd>
          </div>
          <div>
            <dt class="label-caps">Who takes over</dt>
            <dd>{procedure.handOver}</dd>
          </div>
        </dl>
        {#if fasteners}<div class="mt-2">{@render fasteners()}</div>{/if}
        <button
          type="button"
          class="btn btn-primary mt-3 w-full sm:w-auto"
          onclick={() => session.mark(procedureMark(procedure, BEGIN), 'done')}>All is here: begin</button
        >
      </section>
    {:else if here}
      <Swipe
        onleft={() => void goto(to(at + 1), { noScroll: true })}
        onright={() => void goto(to(at - 1), { noScroll: true })}
      >
        <section class="panel mt-3 p-4" aria-labelledby="step-title">
          <h3 id="step-title" class="mb-1 flex flex-wrap items-center gap-x-3">
            <span class="sounding text-2xl">{at + 1}</span><span class="label-caps">of {steps.length}</span>
            {#if here.done}<span class="flex items-center gap-1.5 text-sm font-normal"
                ><Shape condition="sound" word={false} />
                {here.by === 'reading' ? 'done: it was read' : 'done'}{here.mark?.by ? `, ${here.mark.by}` : ''}</span
              >{/if}
          </h3>
          {#if refused}<p class="my-2 border-2 border-hold p-2 font-semibold text-hold" role="status">{refused}</p>{/if}
          {#key here.step.id}<StepCard
              step={here.step}
              {base}
              {procedure}
              steps={steps.map((s) => s.step)}
              began={progress.began}
            />{/key}
          {#if proving && marked.length}<p class="mt-2 border-l-2 border-primary pl-2 text-sm" role="status">
              Marked done: {marked.map((m) => jobOf(m.job).title).join('; ')}. What is read from here on proves it.
            </p>{/if}
          <div
            class="-mx-4 mt-4 flex flex-wrap gap-2 border-t border-line bg-base-200 px-4 pt-2 max-lg:sticky max-lg:bottom-[3.9rem] max-lg:z-10 max-lg:pb-2 lg:border-0"
          >
            {#if here.done}
              {#if left}<button type="button" class="btn btn-primary grow sm:grow-0 sm:px-8" onclick={onward}
                  >Next open step</button
                >{/if}
              <button
                type="button"
                class="btn btn-outline btn-primary grow sm:grow-0"
                onclick={() => session.mark(procedureMark(procedure, here.step.id), 'open')}
                >Open this step again</button
              >
            {:else}
              <button
                type="button"
                class="btn btn-primary grow text-lg sm:grow-0 sm:px-10"
                disabled={Boolean(refused)}
                aria-label="Done, step {at + 1}"
                onclick={onward}>Done</button
              >
              {#if here.step.wait}<button
                  type="button"
                  class="btn btn-outline btn-primary"
                  onclick={() => session.wait(`${procedure.title}, step ${at + 1}`, here.step.wait!)}
                  >Start {sayMinutes(here.step.wait)}</button
                >{/if}
            {/if}
            <span class="join ml-auto">
              <a class="btn btn-outline btn-primary join-item" href={to(at - 1)} data-sveltekit-noscroll
                ><ArrowLeft size={18} aria-hidden="true" /><span class="sr-only">Step before</span></a
              >
              <a class="btn btn-outline btn-primary join-item" href={to(at + 1)} data-sveltekit-noscroll
                ><span class="sr-only">Next step</span><ArrowRight size={18} aria-hidden="true" /></a
              >
            </span>
          </div>
        </section>
      </Swipe>
    {/if}

    <section class="panel mt-3 p-4" aria-label="Finish">
      <p class="text-sm">
        <span class="label-caps">What proves it</span>
        {stations[procedure.proof.station].title.toLowerCase()}: {procedure.proof.text}.
      </p>
      {#if progress.finished}
        <p class="mt-2">
          <Shape condition="sound" word={false} /> <strong>Finished</strong>{progress.finished.by
            ? ` by ${progress.finished.by}`
            : ''}, {sayDate(progress.finished.at, 'd MMM yyyy HH:mm')}. It stands in the engine’s record.
        </p>
        {#if progress.finished.note}<p>“{progress.finished.note}”</p>{/if}
        <p class="mt-2 flex flex-wrap gap-2">
          {@render after?.()}
          <button
            type="button"
            class="btn btn-outline btn-primary"
            onclick={() => session.mark(procedureMark(procedure), 'open')}>Open again</button
          >
          <button
            type="button"
            class="btn btn-outline btn-primary"
            onclick={() => session.mark(procedureMark(procedure, BEGIN), 'done')}>Begin anew</button
          >
        </p>
      {:else}
        {#if held.length}<p class="mt-2 border-l-4 border-hold pl-3">
            It cannot be finished while this stands: {held.map((h) => h.title.toLowerCase()).join('; ')}. What was read
            is in the record; <a class="plain-link" href="{base}/jobs">the job list</a> says what lifts it.
          </p>{/if}
        <p class="mt-2" role="status">
          {progress.untouched
            ? 'Nothing of it is done yet.'
            : left
              ? `${left} of ${steps.length} steps are not ticked.`
              : 'Every step is ticked.'}
        </p>
        {@render closes?.()}
        <label class="mt-1 block"
          ><span class="label-caps">{left ? 'Why steps are left out, and anything to say' : 'Note'}</span><input
            class="input w-full"
            bind:value={note}
            maxlength="2000"
            aria-invalid={complaint ? 'true' : undefined}
            aria-describedby="finish-error"
          /></label
        >
        <p id="finish-error" class="font-medium text-error" role="alert">{complaint}</p>
        <button
          type="button"
          class="btn btn-primary mt-2 {left ? 'btn-outline' : ''}"
          disabled={held.length > 0 || progress.untouched}
          onclick={finish}>{left ? 'Finish, with steps left out' : 'Finish'}</button
        >
      {/if}
    </section>
  </div>

  <nav aria-label="Steps" class="min-w-0">
    <p class="flex items-center gap-3">
      <progress
        class="progress h-2 flex-1 progress-primary"
        value={progress.done}
        max={steps.length}
        aria-label="Steps done"
      ></progress><span class="sounding whitespace-nowrap">{progress.done} of {steps.length}</span>
    </p>
    <ol class="mt-2 border-t border-line">
      {#each steps as s, k (s.step.id)}
        <li class="border-b border-line">
          <a
            class="flex min-h-11 items-center gap-2 py-1 leading-tight hover:bg-base-200 {k === at && progress.began
              ? 'font-semibold'
              : ''}"
            href="?step={s.step.id}"
            aria-current={k === at && progress.began ? 'step' : undefined}
            data-sveltekit-noscroll
            ><Shape condition={s.done ? 'sound' : 'not-looked-at'} word={false} /><span class="sounding w-6 text-right"
              >{k + 1}</span
            ><span class="line-clamp-2 min-w-0 flex-1">{s.step.text}</span><span class="sr-only"
              >{s.done ? 'done' : 'open'}</span
            ></a
          >
        </li>
      {/each}
    </ol>
  </nav>
</div>
