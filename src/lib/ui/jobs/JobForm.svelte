<script lang="ts">
  import type { Step } from '$core/plan/plan.ts';
  import type { StationId } from '$core/stations/items.ts';
  import { stationIds, stations } from '$core/stations/register.ts';
  import { parseQuantity } from '$core/units/index.ts';
  import { Dialog } from 'bits-ui';
  import { addMonths, format } from 'date-fns';
  import { untrack } from 'svelte';
  import { newId } from '../session/new-id.ts';
  import { useSession } from '../session/session.svelte.ts';
  import { editJob } from '../session/work.ts';

  /** Changes a job, or adds one that nothing found asks for. */
  interface Props {
    step?: Step | undefined;
    others: readonly Step[];
    onclose: () => void;
  }
  let { step, others, onclose }: Props = $props();
  const session = useSession();
  const list = (v: readonly string[] | undefined): string => (v ?? []).join(', ');
  const start = untrack(() => step);
  let form = $state({
    title: start?.title ?? '',
    minutes: start?.minutes ? String(start.minutes) : '',
    wait: start?.wait ? String(start.wait) : '',
    tools: list(start?.tools),
    parts: list(start?.parts),
    after: [...(start?.after ?? [])],
    station: start?.proof.station ?? ('look' as StationId),
    temporary: Boolean(start?.temporary),
    until: start?.temporary?.until ?? format(addMonths(session.now, 3), 'yyyy-MM-dd'),
    why: start?.temporary?.why ?? ''
  });
  let complaints = $state<Record<string, string>>({});

  function minutes(text: string, name: string): number | undefined {
    if (!text.trim()) return undefined;
    const parsed = parseQuantity(text, 'minutes', session.units);
    if (!parsed.ok) complaints[name] = parsed.message;
    else if (parsed.si < 0 || parsed.si > 530_000) complaints[name] = 'Between nothing and a year, please.';
    else return parsed.si;
    return undefined;
  }
  const words = (text: string): string[] =>
    text
      .split(',')
      .map((w) => w.trim())
      .filter(Boolean);

  function submit(e: SubmitEvent): void {
    e.preventDefault();
    complaints = {};
    if (!form.title.trim()) complaints.title = 'What is to be done? A few words are enough.';
    const hands = minutes(form.minutes, 'minutes');
    const wait = minutes(form.wait, 'wait');
    if (form.temporary && !/^\d{4}-\d\d-\d\d$/.test(form.until))
      complaints.until = 'By which day is it looked at again?';
    if (form.temporary && form.why.trim().length < 3) complaints.why = 'Why is it only mended for now?';
    if (Object.keys(complaints).length) return;
    editJob(session, {
      step: step?.id ?? `own-${newId()}`,
      title: form.title.trim(),
      ...(hands === undefined ? {} : { minutes: hands }),
      ...(wait === undefined ? (start?.wait ? { wait: 0 } : {}) : { wait }),
      tools: words(form.tools),
      parts: words(form.parts),
      after: form.after,
      station: form.station,
      temporary: form.temporary ? { until: form.until, why: form.why.trim() } : null
    });
    onclose();
  }
</script>

<Dialog.Root open onOpenChange={(open) => !open && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/55" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[min(36rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border-2 border-line bg-base-100 p-5"
    >
      <form onsubmit={submit} class="space-y-3" novalidate>
        <Dialog.Title class="font-label text-xl font-semibold">{step ? 'Change this job' : 'Add a job'}</Dialog.Title>
        <Dialog.Description class="text-sm"
          >{step && !step.own
            ? 'Why it is on the list and what proves it stay as they are.'
            : 'Something no finding asks for. It is planned, ticked and proved like the others.'}</Dialog.Description
        >
        <label class="block"
          ><span class="label-caps">Job</span><input
            class="input w-full"
            bind:value={form.title}
            maxlength="120"
            aria-invalid={complaints.title ? 'true' : undefined}
          /></label
        >
        {#if complaints.title}<p class="font-medium text-error" role="alert">{complaints.title}</p>{/if}
        <div class="grid grid-cols-2 gap-3">
          {#each [['minutes', 'Hands on', '25 min'], ['wait', 'Then goes on by itself', '12 h']] as const as [key, label, example] (key)}
            <div>
              <label class="block"
                ><span class="label-caps">{label}</span><input
                  class="input w-full"
                  bind:value={form[key]}
                  maxlength="40"
                  placeholder={example}
                  aria-invalid={complaints[key] ? 'true' : undefined}
                /></label
              >
              {#if complaints[key]}<p class="font-medium text-error" role="alert">{complaints[key]}</p>{/if}
            </div>
          {/each}
        </div>
        <label class="block"
          ><span class="label-caps">Tools, with commas between</span><input
            class="input w-full"
            bind:value={form.tools}
            maxlength="900"
          /></label
        >
        <label class="block"
          ><span class="label-caps">Parts, with commas between</span><input
            class="input w-full"
            bind:value={form.parts}
            maxlength="900"
          /></label
        >
        {#if others.length}
          <fieldset>
            <legend class="label-caps">Only after</legend>
            <div class="flex flex-wrap gap-x-4">
              {#each others as o (o.id)}<label class="flex min-h-11 items-center gap-2 text-sm"
                  ><input type="checkbox" class="checkbox" value={o.id} bind:group={form.after} />{o.title}</label
                >{/each}
            </div>
          </fieldset>
        {/if}
        {#if !step || step.own}
          <label class="block"
            ><span class="label-caps">Proved by</span><select class="select w-full" bind:value={form.station}>
              {#each stationIds as s (s)}<option value={s}>{stations[s].title}</option>{/each}
            </select></label
          >
        {/if}
        <label class="flex min-h-11 items-center gap-2"
          ><input type="checkbox" class="checkbox" bind:checked={form.temporary} /> Mended for now: looked at again by a day</label
        >
        {#if form.temporary}
          <div class="grid gap-3 sm:grid-cols-[11rem_1fr]">
            <label class="block"
              ><span class="label-caps">Looked at again by</span><input
                class="input w-full"
                type="date"
                bind:value={form.until}
              /></label
            >
            <label class="block"
              ><span class="label-caps">Why only for now</span><input
                class="input w-full"
                bind:value={form.why}
                maxlength="120"
                placeholder="speed sleeve over a grooved shaft"
              /></label
            >
          </div>
          {#each ['until', 'why'] as const as key (key)}{#if complaints[key]}<p
                class="font-medium text-error"
                role="alert"
              >
                {complaints[key]}
              </p>{/if}{/each}
        {/if}
        <div class="flex flex-wrap justify-end gap-2">
          {#if step?.own}<button
              type="button"
              class="btn btn-outline btn-primary"
              onclick={() => {
                editJob(session, { step: step.id, dropped: true });
                onclose();
              }}>Take it off the list</button
            >{/if}
          <button type="button" class="btn btn-outline btn-primary" onclick={onclose}>Leave it</button>
          <button class="btn btn-primary">Keep</button>
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
