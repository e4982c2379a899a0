<script lang="ts">
  import { Dialog } from 'bits-ui';

  let { onclose }: { onclose: () => void } = $props();
  const keys = [
    ['1 – 9, 0, -', 'the checks, in working order, along the top row'],
    ['n', 'what to do now; there once more: to its place'],
    ['b', 'big figures, on Now'],
    ['← →', 'question by question, on Now'],
    ['s', 'suspects and decision'],
    ['j', 'job list'],
    ['/', 'quick line; in the yard: search'],
    ['r', 'repeat: to the first field of the check'],
    ['↑ ↓ Enter', 'between cylinders'],
    ['u, Ctrl Z', 'undo'],
    ['?', 'this list']
  ] as const;
</script>

<Dialog.Root open onOpenChange={(open) => !open && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/55" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 w-[min(26rem,94vw)] -translate-x-1/2 -translate-y-1/2 border border-line bg-base-100 p-5"
    >
      <Dialog.Title class="font-label text-xl font-semibold">Keys</Dialog.Title>
      <dl class="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
        {#each keys as [k, what] (k)}<dt><kbd class="font-label font-semibold">{k}</kbd></dt>
          <dd>{what}</dd>{/each}
      </dl>
      <div class="mt-4 text-right">
        <button type="button" class="btn btn-outline btn-primary" onclick={onclose}>Close</button>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
