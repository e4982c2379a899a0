<script lang="ts">
  import { stations } from '$core/stations/register.ts';
  import type { StationId } from '$core/stations/items.ts';
  import { waitAsked } from '$core/record/wait.ts';
  import { parseQuantity } from '$core/units/index.ts';
  import { useSession } from '../session/session.svelte.ts';

  /** Starts something that runs by itself: what is usual at this check, or anything else for any time. */
  let { station, onbegun }: { station: StationId | undefined; onbegun: () => void } = $props();
  const session = useSession();
  let label = $state('');
  let time = $state('');
  let complaint = $state('');
  const usual = $derived((station && stations[station].waits?.(session.judgement.context)) ?? []);

  function begin(what: string, minutes: number): void {
    session.wait(what, minutes, station);
    [label, time, complaint] = ['', '', ''];
    onbegun();
  }
  function own(e: SubmitEvent): void {
    e.preventDefault();
    const parsed = parseQuantity(time, 'minutes', session.units);
    if (!parsed.ok) return void (complaint = parsed.message);
    const checked = waitAsked.safeParse({ label, minutes: parsed.si });
    if (!checked.success) return void (complaint = `Not started: ${checked.error.issues[0]?.message}.`);
    begin(checked.data.label, checked.data.minutes);
  }
  const words = (minutes: number): string => (minutes >= 120 ? `${Math.round(minutes / 60)} h` : `${minutes} min`);
</script>

<div
  class="fixed inset-x-3 z-30 border border-line bg-base-100 p-3 shadow-lg sm:absolute sm:inset-x-auto sm:right-0 sm:w-[26rem]"
>
  {#each usual as u (u.label)}
    <button type="button" class="chip mb-1.5 w-full justify-start text-left" onclick={() => begin(u.label, u.minutes)}>
      <span>{u.label}, {words(u.minutes)}<small class="block text-sm opacity-90">{u.because}</small></span>
    </button>
  {/each}
  <form onsubmit={own} novalidate class="grid grid-cols-[1fr_6.5rem] gap-2">
    <label
      ><span class="label-caps">What waits</span><input
        class="input w-full"
        bind:value={label}
        maxlength="120"
        placeholder="battery on charge"
      /></label
    >
    <label
      ><span class="label-caps">For</span><input class="input w-full" bind:value={time} placeholder="20 min" /></label
    >
    {#if complaint}<p class="col-span-2 font-medium text-error" role="alert">{complaint}</p>{/if}
    <button class="btn btn-primary col-span-2">Start</button>
  </form>
</div>
