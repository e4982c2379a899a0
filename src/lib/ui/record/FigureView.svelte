<script lang="ts">
  import { drawing } from '$core/report/draw.ts';
  import type { Figure } from '$core/report/figures.ts';

  /** A figure of the report, as it is printed. */
  let { figure }: { figure: Figure } = $props();
  const d = $derived(drawing(figure));
</script>

<figure>
  <figcaption class="font-semibold">{figure.title}</figcaption>
  <svg
    viewBox="0 0 {d.width} {d.height}"
    class="w-full max-w-2xl"
    role="img"
    aria-label="{figure.title}: {figure.says}"
  >
    {#each d.rules as r, k (k)}<line {...r} stroke="currentColor" stroke-opacity="0.25" stroke-width="0.7" />{/each}
    {#each d.rects as r, k (k)}<rect
        x={r.x}
        y={r.y}
        width={r.w}
        height={r.h}
        stroke="currentColor"
        stroke-width="0.7"
        class={r.kind === 'last' ? 'fill-primary' : 'fill-base-300'}
      />{/each}
    {#each d.paths as p (p)}<path d={p} fill="none" class="stroke-primary" stroke-width="2" />{/each}
    {#each d.texts as t, k (k)}<text x={t.x} y={t.y} text-anchor={t.anchor} font-size="12" fill="currentColor"
        >{t.text}</text
      >{/each}
  </svg>
  <p class="text-sm">{figure.says}.</p>
</figure>
