<script lang="ts">
  import { partNumbers } from '$core/engine/card.ts';
  import { lineKey } from '$core/parts/lines.ts';
  import { partLines } from '$core/record/part-lines.ts';
  import type { Procedure, ProcedureStep } from '$core/procedures/procedure.ts';
  import { partStates } from '$core/record/work.ts';
  import { putBack, stepParts, type StepPart } from '$core/procedures/step-parts.ts';
  import { trayOf } from '$core/tray/tray.ts';
  import type { Instant } from '$core/units/instant.ts';
  import { useSession } from '../session/session.svelte.ts';
  import { markPart, setPart, takeOff } from '../session/work.ts';
  import Shape from '../marks/Shape.svelte';
  import Thumb from '../marks/Thumb.svelte';
  import Camera from '@lucide/svelte/icons/camera';

  /** What comes off, goes back and is bought at a step: onto the tray and the order from where the hands are. */
  interface Props {
    step: ProcedureStep;
    steps: readonly ProcedureStep[];
    procedure: Procedure;
    began: Instant | undefined;
  }
  let { step, steps, procedure, began }: Props = $props();
  const session = useSession();
  const tray = $derived(trayOf(session.survey));
  const off = $derived(stepParts(step.takesOff ?? [], steps, tray, began));
  const back = $derived(stepParts(step.fits ?? [], steps, tray, began));
  const job = $derived(procedure.jobs[0]);
  const lines = $derived(new Map(partLines(session.survey).map((l) => [l.key, l])));
  const keyOf = (name: string): string => lineKey(job ?? procedure.id, name);
  const onOrder = (name: string): string | undefined => {
    const line = lines.get(keyOf(name));
    return line && partStates[line.state];
  };
  const toOrder = $derived((step.renew ?? []).filter((name) => !lines.has(keyOf(name))));
  const toTray = $derived(off.filter((p) => !p.on));
  const goBack = $derived(back.flatMap((p) => (p.on?.state === 'off' ? [p.on] : [])));
  const pictured = $derived(off.find((p) => p.on && !p.on.part.photo)?.on?.part.id);

  const put = (p: StepPart): string =>
    takeOff(session, {
      name: p.name,
      place: procedure.title,
      ...(job ? { step: job } : {}),
      ...(p.oneTime ? { oneTime: true as const } : {})
    });
  /** A picture of how it lay belongs to the first part of the step; taken before, that part is put on the tray with it. */
  function picture(file: File): void {
    const id = pictured ?? (toTray[0] && put(toTray[0]));
    if (id) void session.photos.take(`tray:${id}`, file);
  }
  function order(): void {
    for (const name of toOrder) {
      const number = partNumbers(session.survey.engine.card, name)[0];
      setPart(session, {
        key: keyOf(name),
        name,
        state: 'wanted',
        ...(job ? { step: job } : {}),
        ...(number ? { number } : {})
      });
    }
  }
  const says = (p: StepPart): string =>
    !p.on
      ? p.oneTime
        ? 'a new one goes back'
        : ''
      : p.on.state === 'off'
        ? p.on.part.oneTime
          ? 'on the tray; a new one goes back'
          : 'on the tray'
        : p.on.state === 'renewed'
          ? 'a new one is on'
          : p.on.state === 'refitted'
            ? 'back on'
            : 'seen to';
</script>

{#snippet list(parts: readonly StepPart[], label: string)}
  <ol class="max-w-md border-l-4 border-line" aria-label={label}>
    {#each parts as p, k (p.name)}
      <li class="flex min-h-9 items-center gap-2 border-b border-line px-2 py-1">
        <span class="sounding w-5 text-right">{k + 1}</span>
        <span class="min-w-0 flex-1">{p.name}</span>
        {#if p.on?.part.photo}<Thumb photo={p.on.part.photo} alt="{p.name} where it sat" side={48} />{/if}
        {#if says(p)}<span class="flex items-center gap-1 text-sm"
            >{#if p.on}<Shape condition={p.on.open ? 'not-looked-at' : 'sound'} word={false} size={14} />{/if}{says(
              p
            )}</span
          >{/if}
      </li>
    {/each}
  </ol>
{/snippet}

{#if off.length}
  <div class="mt-3">
    <p class="label-caps">Off, in this order</p>
    {@render list(off, 'Off, in this order')}
    {#if began}<p class="mt-1.5 flex flex-wrap gap-2">
        {#if toTray.length}<button
            type="button"
            class="btn btn-outline btn-primary btn-sm min-h-11"
            onclick={() => toTray.forEach(put)}
            >{toTray.length === 1 ? 'Put it on the tray' : `Put these ${toTray.length} on the tray`}</button
          >{/if}
        {#if toTray.length || pictured}<label class="chip soft cursor-pointer"
            ><Camera size={18} aria-hidden="true" /><span>How it lay</span><input
              type="file"
              accept="image/jpeg,image/png,image/webp"
              capture="environment"
              class="sr-only"
              onchange={(e) => {
                const file = e.currentTarget.files?.[0];
                if (file) picture(file);
              }}
            /></label
          >{/if}
      </p>{/if}
  </div>
{/if}
{#if back.length}
  <div class="mt-3">
    <p class="label-caps">On, in this order</p>
    {@render list(back, 'On, in this order')}
    {#if goBack.length}<p class="mt-1.5">
        <button
          type="button"
          class="btn btn-outline btn-primary btn-sm min-h-11"
          onclick={() => goBack.forEach((on) => markPart(session, on.part.id, putBack(on)))}
          >{goBack.length === 1 ? 'It is back on' : `All ${goBack.length} are back on`}</button
        >
      </p>{/if}
  </div>
{/if}
{#if step.renew?.length}
  <div class="mt-3">
    <p><span class="label-caps">New ones</span></p>
    <ul>
      {#each step.renew as name (name)}<li>
          {name}{#if onOrder(name)}<span class="text-sm"> · {onOrder(name)}</span>{/if}
        </li>{/each}
    </ul>
    {#if began && toOrder.length}<button
        type="button"
        class="btn btn-outline btn-primary btn-sm mt-1 min-h-11"
        onclick={order}>{toOrder.length === 1 ? 'Onto the order' : `These ${toOrder.length} onto the order`}</button
      >{/if}
  </div>
{/if}
