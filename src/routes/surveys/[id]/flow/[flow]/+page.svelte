<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import { flowById } from '$core/care/flows.ts';
  import { flowMark, flowState, type FlowStep } from '$core/care/flow.ts';
  import { stageAt } from '$core/care/break-in.ts';
  import { stationOf, type ItemId, type StationId } from '$core/stations/items.ts';
  import HazardLines from '$lib/ui/marks/HazardLines.svelte';
  import Shape from '$lib/ui/marks/Shape.svelte';
  import HoldBanner from '$lib/ui/survey/HoldBanner.svelte';
  import LimitLine from '$lib/ui/survey/LimitLine.svelte';
  import StationFields from '$lib/ui/survey/StationFields.svelte';
  import { useSession } from '$lib/ui/session/session.svelte.ts';

  let { data } = $props();
  const session = $derived(useSession());
  const flow = $derived(flowById(data.flow)!);
  const j = $derived(session.judgement);
  const steps = $derived(flow.steps(j.context));
  const at = $derived(flowState(j.context, flow, j.holds));
  const holds = $derived(j.holds.filter((h) => flow.holds.includes(h.id) && !h.standing));
  const base = $derived(`/surveys/${session.surveyId}`);
  const left = $derived(steps.filter((s) => !at.done.has(s.id)).length);
  const stage = $derived(flow.id === 'break-in' ? stageAt(j.context) : undefined);
  const stationsOf = (s: FlowStep): [StationId, string[]][] => {
    const map = new Map<StationId, string[]>();
    for (const i of s.items ?? []) {
      const station = stationOf(i as ItemId);
      map.set(station, [...(map.get(station) ?? []), i.slice(i.indexOf('.') + 1)]);
    }
    return [...map];
  };
  let note = $state('');

  function finish(): void {
    for (const id of flow.counts) session.mark(`care.${id}`, 'done');
    session.mark(flowMark(flow.id), 'done', note.trim() || undefined);
    note = '';
  }
</script>

<svelte:head><title>{flow.title} · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head>

<div class="mx-auto max-w-3xl">
  <h2 class="text-2xl">{flow.title}</h2>
  <p class="text-sm">{flow.means} About {flow.minutes} minutes.</p>
  {#if flow.tools.length || flow.parts.length}
    <p class="mt-1 text-sm"><span class="label-caps">Take</span> {[...flow.tools, ...flow.parts].join(', ')}</p>
  {/if}
  {#if holds.length}<div class="mt-2">
      <HoldBanner {holds} {base} onoverride={(hold, reason) => session.override(hold, reason)} />
    </div>{/if}
  <HazardLines ids={flow.hazards} footer />
  {#if stage}<p class="panel mt-2 p-3"><strong>Now:</strong> {stage.text}</p>{/if}
  <ol class="mt-3 space-y-2">
    {#each steps as s, k (s.id)}
      <li class="panel p-3">
        <div class="grid grid-cols-[2.2rem_1fr] gap-x-2">
          <span class="sounding text-2xl leading-7">{k + 1}</span>
          <div>
            <p class="text-[1.05rem]">{s.text}</p>
            {#if s.because}<p class="text-sm">{s.because}</p>{/if}
            {#each stationsOf(s) as [station, only] (station)}<div class="mt-2">
                <StationFields {station} {only} />
              </div>{/each}
            {#each s.torque ?? [] as id (id)}<LimitLine {id} />{/each}
            <div class="mt-2 flex flex-wrap items-center gap-2">
              <button
                type="button"
                class="btn btn-primary {at.done.has(s.id) ? 'btn-outline' : ''}"
                aria-pressed={at.done.has(s.id)}
                aria-label="Done, step {k + 1}"
                onclick={() => session.mark(flowMark(flow.id, s.id), at.done.has(s.id) ? 'open' : 'done')}
                >{#if at.done.has(s.id)}<Shape condition="sound" word={false} /> Done{:else}Done{/if}<span
                  class="sr-only">, step {k + 1}</span
                ></button
              >
              {#if s.wait && !at.done.has(s.id)}<button
                  type="button"
                  class="btn btn-outline btn-primary"
                  onclick={() => session.wait(`${flow.title}, step ${k + 1}`, s.wait!)}>Start {s.wait} min</button
                >{/if}
            </div>
          </div>
        </div>
      </li>
    {/each}
  </ol>
  <div class="panel mt-3 p-4">
    {#if at.finished}
      <p>
        <Shape condition="sound" word={false} /> <strong>Finished</strong>{at.finished.by
          ? ` by ${at.finished.by}`
          : ''}, {sayDate(at.finished.at, 'd MMM yyyy HH:mm')}. It stands in the engine’s record.
      </p>
      <p class="mt-2 flex flex-wrap gap-2">
        <a class="btn btn-primary" href="/engines/{session.engineId}/care">Care: what is next</a>
        <button
          type="button"
          class="btn btn-outline btn-primary"
          onclick={() => session.mark(flowMark(flow.id), 'open')}>Open again</button
        >
      </p>
    {:else}
      {#if at.held.length}<p class="mb-2 border-l-4 border-hold pl-3">
          It cannot be finished while this stands: {at.held.map((h) => h.title.toLowerCase()).join('; ')}. What was read
          is in the record; <a class="plain-link" href="{base}/jobs">the job list</a> says what lifts it.
        </p>{/if}
      <p role="status">{left ? `${left} of ${steps.length} steps are not ticked.` : 'Every step is ticked.'}</p>
      <label class="mt-1 block"
        ><span class="label-caps">Note</span><input class="input w-full" bind:value={note} maxlength="2000" /></label
      >
      <button type="button" class="btn btn-primary mt-2" disabled={at.held.length > 0} onclick={finish}
        >{left ? 'Finish, with steps left out' : 'Finish'}</button
      >
    {/if}
  </div>
</div>
