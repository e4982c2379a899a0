<script lang="ts">
  import type { PlugSight } from '$core/stations/plugs/meaning.ts';

  /**
   * The firing end of a plug, drawn for what was read on it, in the colours it has: black stays black in the dark theme.
   * Decorative: the words stand beside it.
   */
  let { sights = [], gap = 1, size = 72 }: { sights?: readonly PlugSight[]; gap?: number; size?: number } = $props();
  const has = (s: PlugSight): boolean => sights.includes(s);
  const ink = '#14273f';
  const [paper, steel, tan, soot, white, rust, water, petrol, oil] = [
    '#e4eef0',
    '#b9c3c8',
    '#b58a4e',
    '#1c1a18',
    '#ffffff',
    '#a04a18',
    '#2f7fb0',
    '#e0ae3c',
    '#4a3414'
  ] as const;
  const nose = $derived(has('white') ? white : has('black') ? soot : has('normal') ? tan : steel);
  const wet = $derived(has('oily') ? oil : has('fuel') ? petrol : water);
  /** The gap as drawn: a millimetre is six units. */
  const g = $derived(Math.min(14, Math.max(2, gap * 6)));
</script>

<svg viewBox="0 0 72 72" width={size} height={size} aria-hidden="true" focusable="false">
  <rect width="72" height="72" rx="3" fill={paper} />
  <g fill="none" stroke={ink} stroke-width="1.5" stroke-linejoin="round">
    <!-- shell with its thread -->
    <path d="M14 4H58V34H14Z" fill={steel} />
    {#each [9, 15, 21, 27] as t (t)}<path d="M14 {t}L58 {t + 4}" stroke-opacity=".6" />{/each}
    <!-- insulator nose and centre electrode -->
    <path d="M27 34H45L42 46H30Z" fill={nose} />
    <path d="M34 46H38V50H34Z" fill={ink} />
    <!-- earth strap, as far away as the gap -->
    <path d="M56 34V{54 + g}H30V{50 + g}H51V34" fill={steel} />
    {#if has('rust')}
      {#each [[19, 30], [24, 26], [53, 45], [50, 58 + g - 6], [21, 20], [46, 30]] as [x, y], k (k)}
        <circle cx={x} cy={y} r="2.2" fill={rust} stroke="none" />
      {/each}
    {/if}
    {#if has('black')}
      {#each [[18, 31], [22, 33], [33, 33], [52, 40], [44, 52 + g], [36, 52 + g], [48, 33]] as [x, y], k (k)}
        <circle cx={x} cy={y} r="2.6" fill={soot} stroke="none" />
      {/each}
    {/if}
    {#if has('oily') || has('fuel') || has('water')}
      <path d="M24 38c-3 5-4 7 0 8s4-3 0-8zM47 44c-3 5-4 8 0 9s4-4 0-9zM32 {54 + g}c-3 5-4 8 0 9s4-4 0-9z" fill={wet} />
    {/if}
    {#if has('water')}<path d="M8 66q6-4 12 0t12 0 12 0 12 0 12 0" stroke={water} stroke-width="2" />{/if}
    {#if has('white')}
      {#each [[31, 38], [38, 40], [34, 43], [41, 36]] as [x, y], k (k)}<circle
          cx={x}
          cy={y}
          r="1.7"
          fill={paper}
        />{/each}
    {/if}
    {#if has('bridged')}<path d="M33 50q3 {g / 2} 0 {g}h6q-3 -{g / 2} 0 -{g}z" fill={ink} />{/if}
    {#if has('cracked')}<path d="M30 34l4 4-3 3 5 5" stroke={rust} stroke-width="2.4" />{/if}
  </g>
</svg>
