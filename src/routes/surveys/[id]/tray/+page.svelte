<script lang="ts">
  import { traitsOf } from '$core/jobs/register.ts';
  import { refitOrder, trayLeft, trayOf } from '$core/tray/tray.ts';
  import { useSession } from '$lib/ui/session/session.svelte.ts';
  import TakeOff from '$lib/ui/tray/TakeOff.svelte';
  import TrayRow from '$lib/ui/tray/TrayRow.svelte';

  const session = $derived(useSession());
  const tray = $derived(trayOf(session.survey));
  const steps = $derived(session.concluded.steps.filter((s) => s.state === 'open' || s.state === 'done'));
  const left = $derived(trayLeft(tray));
  const done = $derived(tray.filter((t) => !t.open).length);
  /** What of the open jobs never goes back: offered as names, so that nobody forgets to mark them. */
  const oneTime = $derived([...new Set(steps.flatMap((s) => traitsOf(s.id).oneTime ?? []))]);
  let order = $state<'off' | 'back'>('off');
  const shown = $derived(order === 'off' ? tray : refitOrder(tray));
</script>

<svelte:head><title>Tray · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head>

<div class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_21rem]">
  <section aria-labelledby="tray-title" class="order-2 lg:order-1">
    <div class="flex flex-wrap items-end justify-between gap-3">
      <div>
        <h2 id="tray-title" class="text-2xl">Tray</h2>
        <p class="text-sm" role="status">
          {#if !tray.length}Nothing is off.{:else}{done} of {tray.length} back, renewed or explained.{/if}
        </p>
      </div>
      {#if tray.length}
        <div class="flex gap-2" role="group" aria-label="Order">
          {#each [['off', 'As it came off'], ['back', 'As it goes back']] as const as [key, label] (key)}
            <button
              type="button"
              class="btn btn-primary {order === key ? '' : 'btn-outline'}"
              aria-pressed={order === key}
              onclick={() => (order = key)}>{label}</button
            >
          {/each}
        </div>
      {/if}
    </div>
    {#if tray.length}
      <progress
        class="mt-2 h-2.5 w-full accent-[var(--color-primary)]"
        value={done}
        max={tray.length}
        aria-label="Parts back"
      ></progress>
      {#if left}<p class="mt-1 border-l-4 border-hold pl-3 text-[0.95rem]">{left}</p>{/if}
      <ol class="mt-3 space-y-2" aria-label={order === 'off' ? 'Parts as they came off' : 'Parts as they go back'}>
        {#each shown as on (on.part.id)}<li><TrayRow {on} {steps} /></li>{/each}
      </ol>
    {:else}
      <div class="panel mt-3 p-6">
        <h3>What comes off is written down here, in the order it comes off</h3>
        <p class="mt-1">
          Size, length and place tell two bolts apart; a photograph does the rest. Going back, the list runs the other
          way, each part is ticked, and nothing is signed ready while one is left over.
        </p>
      </div>
    {/if}
  </section>
  <aside class="order-1 lg:order-2" aria-label="Take a part off">
    <TakeOff {steps} {oneTime} number={tray.length + 1} />
  </aside>
</div>
