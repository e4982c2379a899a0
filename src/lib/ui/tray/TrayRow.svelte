<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import type { Step } from '$core/plan/plan.ts';
  import { partSaid, type OnTray } from '$core/tray/tray.ts';
  import { trayStates } from '$core/record/work.ts';

  import Shape from '../marks/Shape.svelte';
  import Thumb from '../marks/Thumb.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import { correctPart, markPart } from '../session/work.ts';
  import Camera from '@lucide/svelte/icons/camera';

  /** One part: what it is, where it sat, and what became of it. */
  let { on, steps }: { on: OnTray; steps: readonly Step[] } = $props();
  const session = useSession();
  let explaining = $state(false);
  let why = $state('');
  let complaint = $state('');
  const coming = $derived(session.photos.waiting.some((w) => w.what === `tray:${on.part.id}`));
  const message = $derived(session.photos.message?.what === `tray:${on.part.id}` ? session.photos.message.text : '');
  const job = $derived(steps.find((s) => s.id === on.part.step)?.title);

  function explain(state: 'explained' | 'replaced'): void {
    if (why.trim().length < 3) return void (complaint = 'Say in a few words what became of it.');
    markPart(session, on.part.id, state, why.trim());
    [explaining, why, complaint] = [false, '', ''];
  }
</script>

<article
  class="panel grid grid-cols-[2.6rem_1fr] gap-x-3 p-2.5 sm:grid-cols-[2.6rem_1fr_auto]"
  aria-label={partSaid(on.part)}
>
  <p class="sounding text-3xl leading-none {on.open ? '' : 'opacity-60'}" aria-label="number {on.number}">
    {on.number}
  </p>
  <div class="min-w-0">
    <h3 class="text-lg">{on.part.name}</h3>
    <p class="text-sm">
      {[on.part.size, on.part.length && `${Math.round(on.part.length * 1e4) / 10} mm`].filter(Boolean).join(' × ')}
      {on.part.place ? ` · ${on.part.place}` : ''}{job ? ` · ${job}` : ''}
    </p>
    <p class="flex items-center gap-1.5 text-sm">
      <Shape condition={on.open ? (on.state === 'off' ? 'not-looked-at' : 'fault') : 'sound'} size={16} />
      {on.state === 'off' && on.part.oneTime ? 'off; a new one goes back' : trayStates[on.state]}{on.state ===
        'refitted' && on.part.oneTime
        ? ': it goes on once only'
        : ''}
      {#if on.markedAt && on.state !== 'off'}<span class="opacity-80"
          >· {on.markedBy ? `${on.markedBy}, ` : ''}{sayDate(on.markedAt, 'd MMM HH:mm')}</span
        >{/if}
    </p>
    {#if on.note}<p class="text-sm">“{on.note}”</p>{/if}
  </div>
  <div class="col-span-2 flex items-start gap-2 sm:col-span-1 sm:row-span-2">
    {#if on.part.photo}<Thumb photo={on.part.photo} alt="{on.part.name} where it sat" />{:else if coming}<span
        class="inline-flex h-[72px] w-[72px] items-center justify-center border border-dashed border-line text-center text-sm"
        >on its way</span
      >{:else}<label class="chip soft cursor-pointer"
        ><Camera size={18} aria-hidden="true" /><span class="sr-only">Photograph of {on.part.name}</span><input
          type="file"
          accept="image/jpeg,image/png,image/webp"
          capture="environment"
          class="sr-only"
          onchange={(e) => {
            const file = e.currentTarget.files?.[0];
            if (file) void session.photos.take(`tray:${on.part.id}`, file);
          }}
        /></label
      >{/if}
  </div>
  <div class="col-span-2 mt-1.5 flex flex-wrap gap-2">
    {#if on.open}
      {#if on.part.oneTime}
        <button type="button" class="btn btn-primary" onclick={() => markPart(session, on.part.id, 'renewed')}
          >New one fitted</button
        >
      {:else}
        <button type="button" class="btn btn-primary" onclick={() => markPart(session, on.part.id, 'refitted')}
          >Refitted</button
        >
        <button
          type="button"
          class="btn btn-outline btn-primary"
          onclick={() => markPart(session, on.part.id, 'renewed')}>New one fitted</button
        >
      {/if}
      <button
        type="button"
        class="btn btn-outline btn-primary"
        aria-expanded={explaining}
        onclick={() => (explaining = !explaining)}>Something else…</button
      >
    {:else}
      <button type="button" class="btn btn-outline btn-primary" onclick={() => markPart(session, on.part.id, 'off')}
        >Off again</button
      >
    {/if}
  </div>
  {#if message}<p class="col-span-2 font-medium text-error" role="alert">{message}</p>{/if}
  {#if explaining && on.open}
    <div class="col-span-2 mt-2 flex flex-wrap items-end gap-2 sm:col-span-3">
      <label class="min-w-52 flex-1"
        ><span class="label-caps">What became of it</span><input
          class="input w-full"
          bind:value={why}
          maxlength="2000"
        /></label
      >
      <button type="button" class="btn btn-outline btn-primary" onclick={() => explain('replaced')}>Replaced</button>
      <button type="button" class="btn btn-outline btn-primary" onclick={() => explain('explained')}>Stays off</button>
      <button
        type="button"
        class="btn btn-outline btn-primary"
        onclick={() => correctPart(session, on.part, { withdrawn: true })}>Never came off</button
      >
      {#if complaint}<p class="w-full font-medium text-error" role="alert">{complaint}</p>{/if}
    </div>
  {/if}
</article>
