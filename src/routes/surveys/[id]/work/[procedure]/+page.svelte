<script lang="ts">
  import { jobsToMark, progressOf } from '$core/procedures/progress.ts';
  import { procedureNamed } from '$core/procedures/register.ts';
  import { useSession } from '$lib/ui/session/session.svelte.ts';
  import FastenerList from '$lib/ui/tray/FastenerList.svelte';
  import { fastenersOf } from '$core/tray/fasteners.ts';
  import ProcedureWork from '$lib/ui/survey/ProcedureWork.svelte';

  let { data } = $props();
  const session = $derived(useSession());
  const procedure = $derived(procedureNamed(data.procedure)!);
  const base = $derived(`/surveys/${session.surveyId}`);
  const known = $derived(fastenersOf(data.fasteners, procedure.jobs));
  const fitting = $derived(procedure.fits?.(session.survey.engine) ?? true);
  /** The open jobs of this engine that it is the inside of. The one it is first of all is done with it; another only by a tick. */
  const jobs = $derived(
    session.concluded.steps.filter((s) => s.state === 'open' && (procedure.jobs as readonly string[]).includes(s.id))
  );
  let said = $state<Readonly<Record<string, boolean>>>({});
  const picked = (id: string): boolean => said[id] ?? id === procedure.jobs[0];
  /** Marked when the engine was put together, so that what was read after that proves it; once more where it was worked at again since. */
  function marked(at: string | undefined, note?: string): void {
    const open = jobs.map((j) => j.id).filter(picked);
    const progress = progressOf(session.judgement.context, procedure);
    for (const id of jobsToMark(session.survey, procedure, progress, open, at))
      session.mark(id, 'done', note, false, at);
  }
  const proves = $derived(
    procedure.jobs.find((id) => session.survey.steps?.some((m) => m.step === id && m.state === 'done'))
  );
</script>

<svelte:head><title>{procedure.title} · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head>

{#key procedure.id}
  <ProcedureWork {procedure} onput={marked} onfinish={(note, put) => marked(put, note)}>
    {#snippet fasteners()}<FastenerList list={known} />{/snippet}
    {#snippet head()}
      {#if !fitting}<p class="mt-2 border-l-2 border-warning pl-2 text-sm font-medium text-warning">
          This is no work on an engine like this one, as it is described now.
        </p>{/if}
    {/snippet}
    {#snippet closes()}
      {#if jobs.length}
        <fieldset class="mt-2 flex flex-wrap items-center gap-x-4 text-sm">
          <legend class="label-caps">Finished with it</legend>
          {#each jobs as j (j.id)}<label class="tap gap-2"
              ><input
                type="checkbox"
                class="checkbox checkbox-primary"
                checked={picked(j.id)}
                onchange={(e) => (said = { ...said, [j.id]: e.currentTarget.checked })}
              />
              {j.title}</label
            >{/each}
        </fieldset>
      {/if}
    {/snippet}
    {#snippet after()}<a
        class="btn btn-primary"
        href="{base}/{procedure.proof.station}{proves ? `?recheck=${proves}` : ''}">Prove it</a
      >{/snippet}
  </ProcedureWork>
{/key}
