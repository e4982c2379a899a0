<script lang="ts">
  import { labelsOf } from '$core/drowned/labels.ts';
  import { protocol, tonight } from '$core/drowned/protocol.ts';
  import type { StationId } from '$core/stations/items.ts';
  import { sayLeft } from '$core/record/wait.ts';
  import HazardLines from '$lib/ui/marks/HazardLines.svelte';
  import Shape from '$lib/ui/marks/Shape.svelte';
  import { useSession } from '$lib/ui/session/session.svelte.ts';
  import StationFields from '$lib/ui/survey/StationFields.svelte';
  import { drownedClock } from '$core/drowned/clock.ts';

  const session = $derived(useSession());
  const c = $derived(session.judgement.context);
  const steps = $derived(protocol(c));
  const first = $derived(steps.find((s) => s.state !== 'done'));
  const base = $derived(`/surveys/${session.surveyId}`);
  const shape = { done: 'sound', open: 'not-looked-at', stuck: 'fault' } as const;
  const labels = $derived(labelsOf(c, session.judgement.holds));
  const done = $derived(steps.filter((s) => s.state === 'done').length);
  const clock = $derived(drownedClock(c));
  const history = $derived(session.survey.engine.history);
  const said = $derived(
    [
      history.water && history.water !== 'unknown' ? `${history.water} water` : 'water of unknown kind, taken as salt',
      history.runningWhenSunk === 'yes'
        ? 'running when it went under'
        : history.runningWhenSunk === 'no'
          ? 'stopped when it went under'
          : 'running or not: unknown',
      session.survey.engine.profile.strokes === 'four'
        ? 'four-stroke'
        : session.survey.engine.profile.strokes === 'two'
          ? 'two-stroke'
          : 'strokes unknown'
    ].join(' · ')
  );
  const marked = (id: string): boolean =>
    (session.survey.steps ?? []).filter((s) => s.step === id).at(-1)?.state === 'done';
  let opened = $state<string>();
  const at = $derived(opened ?? first?.id);
</script>

<svelte:head><title>Drowned · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head>

<div class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_20rem]">
  <section aria-labelledby="drowned-title">
    <h2 id="drowned-title" class="text-2xl">Drowned: what perishes first, first</h2>
    <p>{said}. {done} of {steps.length} done{clock ? `; ${sayLeft(clock.until, session.now)}` : ''}.</p>
    <ol class="mt-3 border-t border-line">
      {#each steps as s, k (s.id)}
        <li class="border-b border-line py-2" aria-current={first?.id === s.id ? 'step' : undefined}>
          <button
            type="button"
            class="flex min-h-11 w-full items-center gap-3 text-left"
            aria-expanded={at === s.id}
            onclick={() => (opened = at === s.id ? '' : s.id)}
          >
            <span class="sounding w-7 text-right text-xl">{k + 1}</span>
            <Shape condition={shape[s.state]} />
            <span class="grow {first?.id === s.id ? 'text-lg font-semibold' : ''}">{s.title}</span>
            <span class="shrink-0 text-sm"
              >{s.state === 'stuck'
                ? 'to a specialist'
                : s.count
                  ? s.count
                  : s.state === 'done'
                    ? 'done'
                    : `${s.minutes} min`}</span
            >
          </button>
          {#if at === s.id}
            <div class="mt-1 ml-10">
              <p>{s.how}</p>
              <p class="mt-1 text-sm"><strong class="font-semibold">Why now:</strong> {s.why}</p>
              {#if s.items.length && s.state !== 'stuck'}
                <div class="mt-3">
                  <StationFields
                    station={s.items[0]!.slice(0, s.items[0]!.indexOf('.')) as StationId}
                    only={s.items.map((i) => i.slice(i.indexOf('.') + 1))}
                  />
                </div>
              {/if}
              {#if s.mark}
                <label class="mt-2 inline-flex min-h-11 items-center gap-2"
                  ><input
                    type="checkbox"
                    class="checkbox border-base-content"
                    checked={marked(s.mark)}
                    onchange={(e) => session.mark(s.mark!, e.currentTarget.checked ? 'done' : 'open')}
                  /> Done</label
                >
              {/if}
              {#if s.station || s.owner}<p class="mt-1 flex flex-wrap gap-x-5 text-sm">
                  {#if s.owner}<a class="plain-link" href="/engines/{session.engineId}">{s.owner}</a>{/if}
                  {#if s.station}<a class="plain-link" href="{base}/{s.station}">Open the whole check</a>{/if}
                </p>{/if}
            </div>
          {/if}
        </li>
      {/each}
    </ol>
  </section>
  <aside class="space-y-3">
    <section class="panel p-3" aria-labelledby="tonight-title">
      <h2 id="tonight-title">It cannot be finished today</h2>
      <p class="text-sm">Then it is put to sleep so that it does not rust, and so that nobody cranks it.</p>
      <ul class="mt-2 space-y-1">
        {#each tonight as t (t.id)}
          <li>
            <label class="flex min-h-11 items-center gap-2"
              ><input
                type="checkbox"
                class="checkbox border-base-content"
                checked={marked(t.id)}
                onchange={(e) => session.mark(t.id, e.currentTarget.checked ? 'done' : 'open')}
              />
              <span>{t.text}</span></label
            >
          </li>
        {/each}
      </ul>
      <p class="mt-2 text-sm">
        {labels.length
          ? `Labels it must carry: ${labels.map((l) => l.text).join(', ')}.`
          : 'No label is called for by the record.'}
      </p>
      <a class="btn btn-primary mt-2 w-full" href="{base}/labels">Print the labels</a>
    </section>
    <HazardLines ids={['backfire', 'chemicals', 'eyes', 'waste', 'battery']} />
  </aside>
</div>
