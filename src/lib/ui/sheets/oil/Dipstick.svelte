<script lang="ts">
  import { sayDip } from '$core/stations/oil/dip-words.ts';
  import { dips, levelVolume, markGap } from '$core/stations/oil/position.ts';
  import { say } from '$core/units/index.ts';
  import { useSession } from '../../session/session.svelte.ts';

  /** The stick with both marks: put the oil where it stands, record it, wipe, and again until two agree. */
  const session = useSession();
  const c = $derived(session.judgement.context);
  const gap = $derived(markGap(c) * 1000);
  const d = $derived(dips(c));
  const v = $derived(levelVolume(c));
  let at = $state<number>();
  const now = $derived(at ?? (d.last.at(-1)?.at === undefined ? gap / 2 : Math.round(d.last.at(-1)!.at! * 1000)));
  const low = -14;
  const high = $derived(Math.round(gap + 22));
  const y = (mm: number): number => 20 + ((high - mm) / (high - low)) * 200;
  const older = $derived(d.last.filter((x) => x.at !== undefined));
</script>

<div class="flex flex-wrap items-stretch gap-4">
  <svg
    viewBox="0 0 150 240"
    class="h-60 w-38 shrink-0"
    role="img"
    aria-label="Dipstick, oil drawn {now} mm {now < 0 ? 'under' : 'over'} the low mark; marks {Math.round(
      gap
    )} mm apart"
  >
    <path
      d="M66 4H84V226Q75 236 66 226Z"
      fill="var(--color-base-200)"
      stroke="var(--color-base-content)"
      stroke-width="2"
    />
    <path d="M67 {y(now)}H83V226Q75 234 67 226Z" fill="#b07a2a" fill-opacity=".85" />
    <g font-family="var(--font-label)" font-size="14" fill="var(--color-base-content)">
      <path d="M58 {y(gap)}H92M58 {y(0)}H92" stroke="var(--color-base-content)" stroke-width="3" />
      <text x="54" y={y(gap) + 5} text-anchor="end">high</text><text x="54" y={y(0) + 5} text-anchor="end">low</text>
      {#each older as o, k (k)}<path d="M96 {y(o.at! * 1000)}h10" stroke="var(--color-primary)" stroke-width="3" /><text
          x="110"
          y={y(o.at! * 1000) + 5}>{Math.round(o.at! * 1000)}</text
        >{/each}
    </g>
  </svg>
  <div class="min-w-52 flex-1">
    <label class="block"
      ><span class="label-caps">Oil stands</span>
      <input
        type="range"
        class="range range-primary range-sm mt-2 w-full"
        min={low}
        max={high}
        step="1"
        value={now}
        oninput={(e) => (at = Number(e.currentTarget.value))}
        aria-valuetext="{now} mm {now < 0 ? 'under' : 'over'} the low mark"
      /></label
    >
    <p class="mt-1">
      <span class="sounding text-3xl">{Math.abs(now)}</span> mm {now < 0 ? 'under' : 'over'} the low mark{now > gap
        ? `, ${Math.round(now - gap)} over the high one`
        : ''}
    </p>
    <button
      type="button"
      class="btn btn-primary mt-2 min-h-14 w-full"
      onclick={() => (session.read('oil.dipAt', now / 1000, { typed: `${now} mm` }), (at = undefined))}
      >Record this dip</button
    >
    <div class="mt-2 min-h-14" aria-live="polite">
      {#if d.last.length}<p>
          Dips: {d.last.map(sayDip).join('; ')}. {d.last.length < 2
            ? 'Wipe and dip again.'
            : d.agree
              ? 'They agree.'
              : 'They do not agree: level, wait, again.'}
        </p>{/if}
      {#if v}<p class="font-semibold">
          {v.beyond > 0
            ? `${say(v.beyond, 'volume', session.units)} over the high mark; draw ${say(-v.toMiddle, 'volume', session.units)} to stand in the middle`
            : v.beyond < 0
              ? `${say(-v.beyond, 'volume', session.units)} under the low mark; add ${say(v.toMiddle, 'volume', session.units)} to stand in the middle`
              : 'Between the marks'} (± {say(v.uncertainty, 'volume', session.units)}).
        </p>{/if}
    </div>
  </div>
</div>
