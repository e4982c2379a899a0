<script lang="ts">
  import { flowById } from '$core/care/flows.ts';
  import { flowState } from '$core/care/flow.ts';
  import { stageAt } from '$core/care/break-in.ts';
  import HoldBanner from '$lib/ui/survey/HoldBanner.svelte';
  import ProcedureWork from '$lib/ui/survey/ProcedureWork.svelte';
  import { useSession } from '$lib/ui/session/session.svelte.ts';

  /** A short job: its procedure, its own holds, and the care that it counts as. */
  let { data } = $props();
  const session = $derived(useSession());
  const flow = $derived(flowById(data.flow)!);
  const j = $derived(session.judgement);
  const at = $derived(flowState(j.context, flow, j.holds));
  const holds = $derived(j.holds.filter((h) => flow.holds.includes(h.id) && !h.standing));
  const base = $derived(`/surveys/${session.surveyId}`);
  /** It counts as care, and as the work on the list that it was the inside of. */
  function finished(put: string | undefined): void {
    for (const id of flow.counts) session.mark(`care.${id}`, 'done');
    const open = new Set(session.concluded.steps.flatMap((s) => (s.state === 'open' ? [s.id as string] : [])));
    // What else it may be the inside of is ticked on the list, by whoever did it.
    const [job] = flow.jobs;
    if (job && open.has(job)) session.mark(job, 'done', undefined, false, put);
  }
  const stage = $derived(flow.id === 'break-in' ? stageAt(j.context) : undefined);
</script>

<svelte:head><title>{flow.title} · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head>

{#key flow.id}
  <ProcedureWork procedure={flow} held={at.held} onfinish={(_, put) => finished(put)}>
    {#snippet head()}
      {#if holds.length}<div class="mt-2">
          <HoldBanner {holds} {base} onoverride={(hold, reason) => session.override(hold, reason)} />
        </div>{/if}
      {#if stage}<p class="panel mt-2 p-3"><strong>Now:</strong> {stage.text}</p>{/if}
    {/snippet}
    {#snippet after()}<a class="btn btn-primary" href="/engines/{session.engineId}/care">Care: what is next</a
      >{/snippet}
  </ProcedureWork>
{/key}
