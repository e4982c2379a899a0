<script lang="ts">
  import { allItems } from '$core/stations/items.ts';
  import { flowsDiffer } from '$core/stations/cooling/parts.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import { parseQuantity, say } from '$core/units/index.ts';
  import type { EarlierFlow } from '$lib/earlier.ts';
  import { onDestroy } from 'svelte';
  import { useSession } from '../../session/session.svelte.ts';

  /** The stream into a bucket: how much, how long. Judged only beside earlier values and the sister engine. */
  let { earlier }: { earlier: readonly EarlierFlow[] } = $props();
  const session = useSession();
  const item = allItems['cooling.bucket'];
  let amount = $state('');
  let time = $state('');
  let complaint = $state('');
  let from = $state(0);
  let now = $state(0);
  let tick = $state<ReturnType<typeof setInterval>>();
  onDestroy(() => clearInterval(tick));
  const taken = $derived(session.record.all('cooling.bucket', { round: session.roundOf('cooling') }));
  const mean = $derived(
    taken.length ? taken.reduce((s, r) => s + (typeof r.value === 'number' ? r.value : 0), 0) / taken.length : undefined
  );
  function watch(): void {
    if (tick) {
      clearInterval(tick);
      tick = undefined;
      time = ((performance.now() - from) / 1000).toFixed(1);
      return;
    }
    from = now = performance.now();
    tick = setInterval(() => (now = performance.now()), 100);
    time = '';
  }
  function take(e: SubmitEvent): void {
    e.preventDefault();
    complaint = '';
    const v = parseQuantity(amount, 'tank', session.units);
    if (!v.ok) return void (complaint = v.message);
    const t = parseQuantity(/[a-z]/i.test(time) ? time : `${time} s`, 'minutes', session.units);
    if (!t.ok) return void (complaint = t.message);
    if (!(t.si > 0)) return void (complaint = 'A time above zero is needed.');
    const flow = v.si / (t.si * 60);
    const checked = item.schema.safeParse(flow);
    if (!checked.success)
      return void (complaint = `${amount} in ${time} s cannot be the stream of an outboard. Check both.`);
    session.read('cooling.bucket', flow, { typed: `${amount} in ${time} s` });
    [amount, time] = ['', ''];
  }
  const word = { less: 'less than', more: 'more than', alike: 'as much as' } as const;
</script>

<form onsubmit={take} novalidate class="flex flex-wrap items-end gap-2">
  <label class="w-32"
    ><span class="label-caps">Into the bucket</span><input
      class="input w-full"
      placeholder={session.units === 'us' ? '1 qt' : '1 L'}
      bind:value={amount}
      autocomplete="off"
    /></label
  >
  <label class="w-28"
    ><span class="label-caps">In seconds</span><input
      class="input w-full"
      inputmode="decimal"
      placeholder="32"
      bind:value={time}
      autocomplete="off"
    /></label
  >
  <button type="button" class="btn btn-outline btn-primary" onclick={watch}
    >{tick ? `Stop at ${((now - from) / 1000).toFixed(0)} s` : 'Stopwatch'}</button
  >
  <button class="btn btn-primary">Take it</button>
</form>
{#if complaint}<p class="mt-1 font-medium text-error" role="alert">{complaint}</p>{/if}
{#if taken.length}
  <p class="mt-2 flex flex-wrap gap-1.5">
    {#each taken as r (r.id)}<button
        type="button"
        class="chip"
        aria-label="Take back {sayValue(item, r.value, session.units)}"
        onclick={() => session.correct(r, undefined)}>{sayValue(item, r.value, session.units)}</button
      >{/each}
  </p>
{/if}
{#each earlier as e (e.label)}
  <p class="mt-1">
    {e.label}: {say(e.flow, 'flow', session.units)}{mean === undefined
      ? ''
      : `; now ${word[flowsDiffer(mean, e.flow)]} that`}.
  </p>
{/each}
