<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import { type OrderLine } from '$core/parts/lines.ts';
  import { partAwaited } from '$core/record/part-lines.ts';
  import { sayMinutes } from '$core/units/duration.ts';
  import type { PartLine } from '$core/record/work.ts';
  import type { Step } from '$core/plan/plan.ts';
  import { saySecondLook, type SecondLook } from '$core/plan/second-look.ts';
  import { traitsOf } from '$core/jobs/register.ts';
  import { stations } from '$core/stations/register.ts';
  import Package from '@lucide/svelte/icons/package';
  import HazardLines from '../marks/HazardLines.svelte';
  import Shape from '../marks/Shape.svelte';
  import type { Inside } from './insides.ts';
  import ListChecks from '@lucide/svelte/icons/list-checks';
  import LimitLine from './LimitLine.svelte';

  import { clearDraft, readDraft, writeDraft } from '../form/drafts.ts';
  import { onMount, untrack } from 'svelte';

  /** One step: why, how, with what, and the check that proves it. */
  interface Props {
    step: Step;
    number?: number;
    base: string;
    titles: Readonly<Record<string, string>>;
    onmark: (state: 'done' | 'open' | 'not-needed', note?: string, late?: boolean) => void;
    /** The second look that its work asks for, and how that is ticked. */
    second?: SecondLook;
    onlook?: () => void;
    /** What the order knows of its parts. */
    order?: readonly OrderLine[];
    /** Opens the form that changes the job. */
    onedit?: () => void;
    /** Whether it is drawn open; the others are a line each. */
    open?: boolean;
    /** What it is step by step, and how far that has got. */
    insides?: readonly Inside[];
    /** Its title and reason stand above it already. */
    plain?: boolean;
  }
  let {
    step,
    number,
    base,
    titles,
    onmark,
    order = [],
    onedit,
    second,
    onlook,
    open = false,
    insides = [],
    plain = false
  }: Props = $props();
  const traits = $derived(traitsOf(step.id));
  const waits = $derived(order.filter((l) => l.step === step.id && (l.state === 'wanted' || l.state === 'ordered')));
  let note = $state(untrack(() => step.note ?? ''));
  let late = $state(false);
  const draft = $derived(`${base}:job:${step.id}`);
  onMount(() => {
    note = readDraft(draft) ?? note;
  });
  /** The address of a page may name a job: it opens, and stays as the reader leaves it. */
  const follows = (node: HTMLDetailsElement): (() => void) => {
    const look = (): void => {
      if (location.hash === `#${node.id}`) node.open = true;
    };
    look();
    window.addEventListener('hashchange', look);
    return () => window.removeEventListener('hashchange', look);
  };
  function mark(state: 'done' | 'not-needed'): void {
    clearDraft(draft);
    onmark(state, note.trim() || undefined, state === 'done' && late);
  }
  const shape = { open: 'not-looked-at', done: 'cannot-tell', proved: 'sound', 'not-needed': 'not-looked-at' } as const;
  const words = {
    open: 'open',
    done: 'done, not proved yet',
    proved: 'done and proved',
    'not-needed': 'not needed'
  } as const;
  const proof = $derived(stations[step.proof.station].title);
  const kit = $derived([...step.tools, ...step.parts, ...step.consumables].join(', '));
</script>

{#snippet body()}
  {#if !plain}<p class="mt-1">{step.why.join(' ')}</p>{/if}
  {#if step.failed}<p class="mt-1 text-sm font-medium text-warning">Open again: it failed its proof.</p>{/if}
  {#if step.by}<p class="mt-1 text-sm font-medium">May wait beyond the release, {step.by}; it stands in Care.</p>{/if}
  {#if step.after.length}<p class="mt-1 text-sm font-medium text-warning">
      First: {step.after.map((a) => titles[a] ?? a).join('; ')}.
    </p>{/if}
  {#if waits.length}<p class="mt-1 text-sm font-medium text-warning">
      Waits for {waits.map((l) => partAwaited(l as PartLine)).join(', ')}.
    </p>{/if}
  {#if step.temporary}<p class="mt-1 border-l-2 border-warning pl-2 text-sm">
      Temporary, because {step.temporary.why}. Looked at again by {sayDate(step.temporary.until, 'd MMM yyyy')}.
    </p>{/if}
  {#if step.state === 'open'}<div class="my-1"><HazardLines ids={step.hazards} brief /></div>{/if}
  <div class="mt-1">
    {#if step.how}<p class="text-[0.95rem]">{step.how}</p>{/if}
    {#if kit}<p class="mt-1 text-sm"><span class="label-caps">Take</span> {kit}</p>{/if}
    {#if traits.special}<p class="mt-1 text-sm">
        <span class="label-caps">Special tools, before the start</span>
        {traits.special.join(', ')}
      </p>{/if}
    {#if traits.oneTime}<p class="mt-1 text-sm">
        <span class="label-caps">Goes on once only</span>
        {traits.oneTime.join(', ')}
      </p>{/if}
    {#each traits.torque ?? [] as id (id)}<LimitLine {id} />{/each}
    {#if insides.length}<ul class="mt-1" aria-label="Step by step">
        {#each insides as { p, at } (p.id)}<li>
            <a class="tap plain-link gap-2" href="{base}/work/{p.id}"
              ><ListChecks size={17} class="shrink-0" aria-hidden="true" /><span
                >{p.title}: {at.finished
                  ? 'finished'
                  : at.began
                    ? `${at.done} of ${at.steps.length} steps done`
                    : `step by step, ${at.steps.length}`}</span
              ></a
            >
          </li>{/each}
      </ul>{/if}
  </div>
  <div class="mt-2 flex flex-wrap items-end gap-2">
    {#if step.state === 'open'}
      <label class="min-w-48 flex-1"
        ><span class="label-caps">Note</span><input
          class="input w-full"
          value={note}
          oninput={(e) => writeDraft(draft, (note = e.currentTarget.value))}
          maxlength="20000"
          placeholder="what was found, what was fitted"
        /></label
      >
      <label class="tap gap-2 text-sm"
        ><input type="checkbox" class="checkbox" bind:checked={late} />late, or interrupted</label
      >
      <button type="button" class="btn btn-primary" onclick={() => mark('done')}>Done</button>
      <button type="button" class="btn btn-outline btn-primary" onclick={() => mark('not-needed')}>Not needed</button>
      {#if onedit}<button
          type="button"
          class="btn btn-outline btn-primary"
          onclick={onedit}
          aria-label="Change {step.title}">Change</button
        >{/if}
    {:else}
      {#if step.note}<p class="flex-1">“{step.note}”</p>{/if}
      {#if step.markedAt}<p class="text-sm">
          {step.markedBy ? `${step.markedBy}, ` : ''}{sayDate(step.markedAt, 'd MMM HH:mm')}
        </p>{/if}
      {#if step.state === 'done'}<a class="btn btn-primary" href="{base}/{step.proof.station}?recheck={step.id}"
          >Prove it: {proof} again</a
        >{/if}
      {#if second && !second.looked && onlook}<button type="button" class="btn btn-primary" onclick={onlook}
          >Looked over</button
        >{/if}
      <button type="button" class="btn btn-outline btn-primary" onclick={() => onmark('open')}>Open again</button>
    {/if}
  </div>
  {#if second}<p class="mt-1 text-sm {second.looked ? '' : 'font-medium text-warning'}">
      {second.looked
        ? `Looked over once more${second.looked.by ? ` by ${second.looked.by}` : ''}, ${sayDate(second.looked.at, 'd MMM HH:mm')}.`
        : saySecondLook(second)}
    </p>{/if}
  <p class="mt-1 text-sm">Proved by {proof.toLowerCase()}: {step.proof.text}.</p>
{/snippet}

{#if plain}<div class="panel p-3">{@render body()}</div>
{:else}
  <details class="panel scroll-mt-24 px-3 open:pb-3" id="job-{step.id}" {open} {@attach follows}>
    <summary class="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-3 py-1">
      <h3 class="min-w-0 flex-1 text-lg">
        {#if number}<span class="sounding mr-1 text-xl">{number}</span>{/if}
        {step.title}
      </h3>
      <span class="flex items-center gap-2 text-sm whitespace-nowrap">
        {#if waits.length}<Package size={15} aria-hidden="true" /><span class="sr-only">waits for parts;</span>{/if}
        {#if step.failed}<span class="font-medium text-warning">failed its proof</span>{/if}
        <Shape condition={shape[step.state]} />
        {words[step.state]} · {step.minutes ? `${step.minutes} min` : 'no minutes given'}{step.edited
          ? ' (changed)'
          : ''}{step.wait ? `, then ${sayMinutes(step.wait)} waiting` : ''}
      </span>
    </summary>
    {@render body()}
  </details>
{/if}
