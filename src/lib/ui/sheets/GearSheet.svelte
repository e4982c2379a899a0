<script lang="ts">
  import { stationItems } from '$core/stations/items.ts';
  import CaseTest from './CaseTest.svelte';
  import FieldsSheet from './FieldsSheet.svelte';
  import type { SheetProps } from './register.ts';

  /** Gear oil first, then the case test, which asks for its own readings. */
  let props: SheetProps = $props();
  const oil = Object.keys(stationItems.gear).filter((k) => !k.startsWith('case'));
</script>

<FieldsSheet {...props} only={oil} />
<CaseTest />
