<script lang="ts">
  import type { Profile } from '$core/engine/profile.ts';
  import type { Condition } from '$core/findings/finding.ts';
  import { geometryOf } from './geometry.ts';

  /** The engine in elevation, drawn from its profile. Decorative: everything it shows is also in words beside it. */
  interface Props {
    profile: Profile;
    barrels?: Readonly<Record<number, Condition>>;
    figures?: Readonly<Record<number, string>>;
    /** Thicker lines, for small pictures. */
    bold?: boolean;
    class?: string;
  }
  let { profile, barrels = {}, figures = {}, bold = false, class: classes = '' }: Props = $props();
  const g = $derived(geometryOf(profile));
  const tiller = $derived(profile.steering === 'tiller');
  const four = $derived(profile.strokes === 'four');
  const fill: Partial<Record<Condition, string>> = {
    fault: 'var(--color-error)',
    sound: 'var(--color-success)',
    watch: 'var(--color-warning)'
  };
  const water = $derived(g.plate - 26);
</script>

<svg viewBox="0 0 200 {g.height}" class="{classes} {bold ? 'bold' : ''}" aria-hidden="true" focusable="false">
  <g fill="none" stroke="var(--color-base-content)" stroke-linejoin="round" stroke-linecap="round">
    <!-- depth contours of the water it stands in -->
    {#each [0, 22, 46] as d (d)}
      <path
        d="M4 {water + d}q12 -5 24 0t24 0 24 0 24 0 24 0 24 0 24 0 24 0"
        stroke="var(--color-primary)"
        stroke-opacity={0.55 - d * 0.008}
        stroke-width="1.2"
      />
    {/each}
    <!-- bracket and transom -->
    <path d="M50 192 V268 M45 192 V268" stroke-width="1.2" />
    <path d="M92 192 H54 V252 H64 V218 H92Z" fill="var(--color-base-300)" fill-opacity=".55" stroke-width="1.6" />
    <path d="M54 240 h-10 M44 236 v8" stroke-width="1.6" />
    <!-- leg -->
    <path d="M80 186 L84 {g.plate} H136 L140 186Z" fill="var(--color-base-100)" stroke-width="1.6" />
    <path d="M110 190 V{g.plate + 34}" stroke-width="1" stroke-dasharray="5 4" />
    <!-- plate, gear case, skeg -->
    <path d="M66 {g.plate} H176 l4 5 H70Z" fill="var(--color-base-100)" stroke-width="1.6" />
    <path
      d="M84 {g.plate + 5} C80 {g.plate + 16} 66 {g.plate + 30} 52 {g.plate + 40} C66 {g.plate + 52} 92 {g.plate +
        55} 118 {g.plate + 55} L158 {g.plate + 49} V{g.plate + 31} L142 {g.plate + 5}Z"
      fill="var(--color-base-100)"
      stroke-width="1.6"
    />
    <path
      d="M90 {g.plate + 54} L104 {g.plate + 92} L122 {g.plate + 92} L130 {g.plate + 54}"
      fill="var(--color-base-100)"
      stroke-width="1.6"
    />
    <path d="M60 {g.plate + 40} H158" stroke-width="1" stroke-dasharray="5 4" />
    {#each [12, 17, 22] as dy (dy)}<path d="M78 {g.plate + dy} h14" stroke-width="1.3" />{/each}
    {#if !profile.absent || profile.absent === 'unknown' || !profile.absent.includes('propeller')}
      <path d="M158 {g.plate + 33} h18 l6 7 -6 7 h-18z" fill="var(--color-base-100)" stroke-width="1.6" />
      <path
        d="M166 {g.plate + 33} c-7 -20 2 -26 8 -20 c3 6 0 14 -3 20 M166 {g.plate +
          47} c-7 20 2 26 8 20 c3 -6 0 -14 -3 -20"
        fill="var(--color-base-200)"
        stroke-width="1.4"
      />
    {/if}
    <!-- steering -->
    {#if tiller}
      <path d="M64 172 L12 158 a5 5 0 0 1 3 -10 L68 161" fill="var(--color-base-100)" stroke-width="1.6" />
      <path d="M20 149 l-3 11 M26 151 l-3 11" stroke-width="1" />
    {:else}
      <path d="M64 170 C40 172 26 182 8 180 M64 176 C42 180 28 190 8 188" stroke-width="1.3" />
    {/if}
    <!-- cowl, cut open -->
    <path
      d="M62 176 C54 140 56 70 66 42 C84 24 142 20 166 40 C178 74 178 136 170 176Z"
      fill="var(--color-base-100)"
      stroke-width="2"
    />
    <path d="M62 176 H170 L160 188 H74Z" fill="var(--color-base-200)" stroke-width="1.6" />
    <!-- flywheel and crank -->
    <path d="M66 44 h36 v7 h-36z" fill="var(--color-base-300)" stroke-width="1.3" />
    <path d="M84 51 V162" stroke-width="3" stroke-opacity=".75" />
    {#if four}<path d="M70 164 H162 V175 H70Z" fill="var(--color-base-300)" fill-opacity=".6" stroke-width="1" />{/if}
  </g>
  {#each g.banks as bank, b (b)}
    {#each bank as place (place.cylinder)}
      {@const state = barrels[place.cylinder]}
      <g transform="translate({place.x} {place.y - g.barrel.height / 2})">
        <rect
          width={g.barrel.width}
          height={g.barrel.height}
          fill="var(--color-base-200)"
          stroke={fill[state ?? 'not-looked-at'] ?? 'var(--color-base-content)'}
          stroke-width={state && fill[state] ? 2.4 : 1.3}
        />
        <path d="M{g.barrel.width} {g.barrel.height / 2} h7" stroke="var(--color-base-content)" stroke-width="2.2" />
        <text
          x={g.barrel.width / 2}
          y={g.barrel.height / 2 + 5.6}
          text-anchor="middle"
          font-size="16"
          font-weight="600"
          fill="var(--color-base-content)"
          font-family="var(--font-label)">{figures[place.cylinder] ?? place.cylinder}</text
        >
      </g>
    {/each}
  {/each}
  {#if profile.indicator !== 'not-fitted'}
    <path
      d="M164 168 q14 4 18 26"
      fill="none"
      stroke="var(--color-primary)"
      stroke-width="1.6"
      stroke-dasharray="3 3"
    />
  {/if}
</svg>

<style>
  .bold path,
  .bold rect {
    stroke-width: 3.4;
  }
  .bold text {
    display: none;
  }
</style>
