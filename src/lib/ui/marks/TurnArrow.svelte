<script lang="ts">
  import type { ProcedureStep } from '$core/procedures/procedure.ts';

  /** The only way that something may be turned, as an arrow and in words. */
  let { turns }: { turns: NonNullable<ProcedureStep['turns']> } = $props();
  const marked = $derived(turns.way === 'marked');
  const words = $derived(
    marked
      ? 'Only the way its arrow or the manual says: nobody has written down which'
      : `Only ${turns.way}, seen from ${turns.from}`
  );
</script>

<p class="flex items-center gap-3">
  <svg viewBox="0 0 48 48" class="h-12 w-12 shrink-0" aria-hidden="true">
    <g transform={turns.way === 'anticlockwise' ? 'translate(48 0) scale(-1 1)' : undefined}>
      <path
        d="M24 8 a16 16 0 1 1 -14.5 9.2"
        fill="none"
        stroke="currentColor"
        stroke-width="4"
        stroke-dasharray={marked ? '5 5' : undefined}
      />
      <path d="M13.5 8 L16 20.5 L3.5 14.5 Z" fill="currentColor" />
    </g>
    <circle cx="24" cy="24" r="4" fill="currentColor" />
  </svg>
  <span class="font-medium">{words}.</span>
</p>
