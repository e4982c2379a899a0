<script lang="ts">
  import type { Snippet } from 'svelte';

  /** Heard besides the buttons that do the same: a sideways stroke of one finger, clearly more across than down. */
  let { onleft, onright, children }: { onleft: () => void; onright: () => void; children: Snippet } = $props();
  const FAR = 60;
  let from: { readonly x: number; readonly y: number } | undefined;
</script>

<div
  role="presentation"
  ontouchstart={(e) => (from = { x: e.touches[0]!.clientX, y: e.touches[0]!.clientY })}
  ontouchend={(e) => {
    const to = e.changedTouches[0];
    if (!from || !to) return;
    const [dx, dy] = [to.clientX - from.x, to.clientY - from.y];
    from = undefined;
    if (Math.abs(dx) < FAR || Math.abs(dx) < 2 * Math.abs(dy)) return;
    if (dx < 0) onleft();
    else onright();
  }}
>
  {@render children()}
</div>
