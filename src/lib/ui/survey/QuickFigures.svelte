<script lang="ts">
  import { quickWords } from '$core/survey/quick-line.ts';
  import type { StationId } from '$core/stations/items.ts';
  import QuickLine from './QuickLine.svelte';

  /** The quick line of a check that takes figures: a word, then its figures, as an instrument shows them. */
  let { station, example }: { station: StationId; example: string } = $props();
  const words = $derived(quickWords(station));
</script>

<div class="mt-4">
  <QuickLine {example} says="A word, then its figures: {words.join(', ')}." />
</div>
