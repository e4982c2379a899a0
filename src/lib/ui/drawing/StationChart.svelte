<script lang="ts">
  import type { StationState } from '$core/assess.ts';
  import type { Profile } from '$core/engine/profile.ts';
  import { stations as definitions } from '$core/stations/register.ts';
  import type { Condition } from '$core/findings/finding.ts';
  import Shape from '../marks/Shape.svelte';
  import ShapeMark from '../marks/ShapeMark.svelte';
  import Sounding from '../marks/Sounding.svelte';
  import { stationKeys } from '../marks/station-keys.ts';
  import EngineDrawing from './EngineDrawing.svelte';
  import { geometryOf } from './geometry.ts';

  /** The drawing as navigation: each check is led by a line to the place where it is made. */
  interface Props {
    profile: Profile;
    stations: readonly StationState[];
    base: string;
    current?: string;
    barrels?: Readonly<Record<number, Condition>>;
    figures?: Readonly<Record<number, string>>;
  }
  let { profile, stations, base, current = '', barrels = {}, figures = {} }: Props = $props();
  const g = $derived(geometryOf(profile));
  const ROW = 46;
  const WIDTH = 176;
  const scale = $derived(Math.min(WIDTH / 200, (stations.length * ROW) / g.height));
  const drawn = $derived({ width: 200 * scale, height: g.height * scale });
  const height = $derived(Math.max(drawn.height, stations.length * ROW));
  /** Labels keep the order of work; the lines find their places. */
  const lines = $derived(
    stations.map((s, k) => {
      const [x, y] = g.anchors[definitions[s.id].anchor];
      return { id: s.id, condition: s.condition, x1: x * scale, y1: y * scale, y2: k * ROW + 22 };
    })
  );
</script>

<nav aria-label="Checks" class="relative w-[23rem] max-w-full" style:height="{height}px">
  <div class="absolute top-0 left-0" style:width="{drawn.width}px">
    <EngineDrawing {profile} {barrels} {figures} class="w-full" />
  </div>
  <svg
    class="pointer-events-none absolute top-0 left-0 h-full w-[12.5rem]"
    viewBox="0 0 200 {height}"
    preserveAspectRatio="none"
    aria-hidden="true"
  >
    {#each lines as l (l.id)}
      {#if l.id === current}<path
          d="M{l.x1} {l.y1} L182 {l.y2} H200"
          stroke="var(--color-primary)"
          stroke-width="2"
          fill="none"
        /><circle
          cx={l.x1}
          cy={l.y1}
          r="12"
          fill="var(--color-base-100)"
          stroke="var(--color-primary)"
          stroke-width="2"
        />{/if}
      <svg x={l.x1 - 8} y={l.y1 - 8} width="16" height="16" viewBox="0 0 20 20"
        ><ShapeMark condition={l.condition} ground="var(--color-base-100)" /></svg
      >
    {/each}
  </svg>
  <ol class="absolute top-0 right-0 w-[10.4rem]">
    {#each stations as s, k (s.id)}
      <li style:height="{ROW}px">
        <a
          href="{base}/{s.id}"
          aria-current={s.id === current ? 'page' : undefined}
          class="flex h-[44px] items-center gap-2 border-l-2 px-2 leading-none hover:bg-base-300/50 {s.id === current
            ? 'border-primary bg-base-100'
            : 'border-transparent'}"
        >
          <Shape condition={s.condition} />
          <span class="min-w-0">
            <span class="block truncate font-label text-[0.95rem] font-semibold"
              ><kbd class="font-label text-sm opacity-80">{stationKeys[k]}</kbd> {s.title}</span
            >
            {#if s.sounding}<Sounding shown={s.sounding} size="1rem" />{/if}
          </span>
        </a>
      </li>
    {/each}
  </ol>
</nav>
