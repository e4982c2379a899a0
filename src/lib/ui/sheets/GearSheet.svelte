<script lang="ts">
  import CaseTest from './CaseTest.svelte';
  import FieldsSheet from './FieldsSheet.svelte';
  import type { SheetProps } from './register.ts';

  /** Gear oil first, then the case test. */
  let props: SheetProps = $props();
</script>

<FieldsSheet {...props} />
<CaseTest />
