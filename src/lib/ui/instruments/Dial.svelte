<script lang="ts">
  /** A dial: an open arc from lower left to lower right, the needle, its figure in the middle. */
  let { label, value, from, to, text }: { label: string; value: number; from: number; to: number; text: string } =
    $props();
  const SWEEP = 250;
  const at = $derived(-SWEEP / 2 + (SWEEP * (Math.min(to, Math.max(from, value)) - from)) / (to - from));
  const point = (degrees: number, r: number): string => {
    const a = ((degrees - 90) * Math.PI) / 180;
    return `${(50 + r * Math.cos(a)).toFixed(2)},${(50 + r * Math.sin(a)).toFixed(2)}`;
  };
  const ticks = Array.from({ length: 11 }, (_, k) => -SWEEP / 2 + (SWEEP * k) / 10);
</script>

<figure class="w-36 text-center">
  <svg viewBox="0 0 100 84" role="img" aria-label="{label}: {text}">
    <path
      d="M{point(-SWEEP / 2, 42)} A42,42 0 1 1 {point(SWEEP / 2, 42)}"
      fill="none"
      stroke="currentColor"
      stroke-width="1.5"
    />
    {#each ticks as t, k (k)}<path
        d="M{point(t, 42)} L{point(t, k % 5 ? 38 : 35)}"
        stroke="currentColor"
        stroke-width={k % 5 ? 0.8 : 1.6}
      />{/each}
    <path class="stroke-primary" d="M50,50 L{point(at, 36)}" stroke-width="2.5" stroke-linecap="round" />
    <circle class="fill-primary" cx="50" cy="50" r="3.5" />
    <text x="50" y="74" text-anchor="middle" font-size="11" fill="currentColor" class="font-semibold">{text}</text>
  </svg>
  <figcaption class="text-sm">{label}</figcaption>
</figure>
