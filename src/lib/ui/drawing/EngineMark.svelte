<script lang="ts">
  import type { Profile } from '$core/engine/profile.ts';
  import { geometryOf } from './geometry.ts';

  /** The engine as a small mark: how many cylinders in which banks, how long a leg, tiller or remote. Decorative. */
  let { profile, class: classes = '' }: { profile: Profile; class?: string } = $props();
  const g = $derived(geometryOf(profile));
  const barrels = $derived(
    g.banks
      .flat()
      .map(
        (p) =>
          `M${p.x} ${Math.round(p.y - g.barrel.height / 2)}h${g.barrel.width}v${g.barrel.height}h-${g.barrel.width}z`
      )
      .join('')
  );
</script>

<svg viewBox="0 0 200 {g.height}" class={classes} aria-hidden="true" focusable="false">
  <g fill="var(--color-base-100)" stroke="var(--color-base-content)" stroke-width="6" stroke-linejoin="round">
    <path d="M92 192H50V262M80 188L84 {g.plate}H136L140 188M66 {g.plate}H178" />
    <path
      d="M84 {g.plate + 5}L52 {g.plate + 40}Q80 {g.plate + 58} 118 {g.plate + 55}L158 {g.plate + 49}V{g.plate +
        31}L142 {g.plate + 5}zM92 {g.plate + 54}L106 {g.plate + 92}H122L130 {g.plate + 54}"
    />
    <path d={profile.steering === 'tiller' ? 'M64 168L12 152' : 'M64 172C40 172 26 184 8 182'} fill="none" />
    <path d="M62 176C54 140 56 70 66 42C84 24 142 20 166 40C178 74 178 136 170 176L160 188H74z" />
    <path d={barrels} fill="var(--color-base-300)" stroke-width="5" />
  </g>
</svg>
