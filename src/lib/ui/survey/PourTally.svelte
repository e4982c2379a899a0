<script lang="ts">
  import { isAfter } from '$core/units/instant.ts';
  import { allItems } from '$core/stations/items.ts';
  import { pourOf } from '$core/stations/oil/changes.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import { parseQuantity, say } from '$core/units/index.ts';
  import { useSession } from '../session/session.svelte.ts';
  import StationFields from './StationFields.svelte';

  /** Cups counted by tapping, with what the bottle still holds and how far the fill has got. */
  let { station, word = 'cup' }: { station: 'oil' | 'gear'; word?: string } = $props();
  const session = useSession();
  const what = $derived(`${station}.poured` as const);
  const p = $derived(pourOf(session.judgement.context, station));
  const item = $derived(allItems[what]);
  const small = $derived(session.units === 'us' ? 3e-6 : 1e-6);
  const v = (x: number): string => say(Math.max(0, x), 'volume', session.units, small);
  let cup = $state<string>();
  let complaint = $state('');
  const since = $derived(session.record.last(`${station}.drained`)?.at ?? '');
  const list = $derived(session.record.all(what).filter((r) => isAfter(r.at, since)));
  const size = $derived(
    cup ??
      (list.length
        ? sayValue(item, list.at(-1)!.value, session.units)
        : session.units === 'us'
          ? '3.4 fl oz'
          : '100 mL')
  );
  const share = $derived(p.asked ? Math.min(1.15, p.poured / p.asked) : 0);

  function add(): void {
    const parsed = parseQuantity(size, 'volume', session.units);
    if (!parsed.ok) return void (complaint = parsed.message);
    const checked = item.schema.safeParse(parsed.si);
    if (!checked.success) return void (complaint = `“${size}” is no cup.`);
    complaint = '';
    session.read(what, parsed.si, { typed: size });
  }
</script>

<section class="panel p-3" aria-label="Pour tally">
  <div class="flex flex-wrap items-stretch gap-3">
    <button type="button" class="btn btn-primary min-h-24 min-w-36 flex-col text-2xl" onclick={add}
      >+1 {word}<small class="text-base font-normal">{size}</small></button
    >
    <div class="min-w-52 flex-1">
      <p aria-live="polite">
        <span class="sounding text-4xl">{v(p.poured)}</span>
        <span class="text-sm"
          >in {p.cups}
          {p.cups === 1 ? word : `${word}s`}{p.asked === undefined ? '; capacity unknown' : ` of ${v(p.asked)}`}</span
        >
      </p>
      {#if p.asked !== undefined}
        <div
          class="relative mt-1 h-5 border border-base-content bg-base-100"
          role="img"
          aria-label="{Math.round(100 * (p.poured / p.asked))} % of what is asked"
        >
          <div
            class="h-full {p.left! < -0.03 * p.asked ? 'bg-error' : 'bg-primary'}"
            style:width="{Math.min(100, share * (100 / 1.15))}%"
          ></div>
          <div class="absolute inset-y-[-4px] w-0.5 bg-base-content" style:left="{100 / 1.15}%"></div>
        </div>
        <p class="mt-1 text-sm">
          {p.left! >= 0 ? `${v(p.left!)} to go; stop a ${word} short and look.` : `${v(-p.left!)} too much.`}
        </p>
      {/if}
      {#if p.bottle}<p class="text-sm">
          Bottle {p.bottle.opened} of {v(p.bottle.size)}: {v(p.bottle.rest)} left in it.
        </p>{/if}
    </div>
  </div>
  <div class="mt-2 flex flex-wrap items-end gap-2">
    <label class="w-32"
      ><span class="label-caps">One {word} is</span><input
        class="input w-full"
        autocomplete="off"
        value={size}
        oninput={(e) => (cup = e.currentTarget.value)}
      /></label
    >
    {#if list.length}<button
        type="button"
        class="btn btn-outline btn-primary"
        onclick={() => session.correct(list.at(-1)!, undefined)}>Take the last one back</button
      >{/if}
  </div>
  {#if complaint}<p class="mt-1 font-medium text-error" role="alert">{complaint}</p>{/if}
  <div class="mt-3"><StationFields {station} only={['bottle']} /></div>
</section>
