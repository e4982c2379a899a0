<script lang="ts">
  import StationFields from '../survey/StationFields.svelte';
  import type { SheetProps } from './register.ts';

  /** A check as its items define it. */
  let { station }: SheetProps = $props();
</script>

<StationFields {station} />
