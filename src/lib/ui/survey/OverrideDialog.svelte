<script lang="ts">
  import { Dialog } from 'bits-ui';

  /** One reason, kept in the record. */
  let { title, onreason, onclose }: { title: string; onreason: (reason: string) => void; onclose: () => void } =
    $props();
  let reason = $state('');
  let complaint = $state('');

  function submit(e: SubmitEvent): void {
    e.preventDefault();
    if (reason.trim().length < 3) complaint = 'Say why in a few words; it stays in the record.';
    else onreason(reason.trim());
  }
</script>

<Dialog.Root open onOpenChange={(open) => !open && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/55" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 w-[min(30rem,94vw)] -translate-x-1/2 -translate-y-1/2 border-2 border-hold bg-base-100 p-5"
    >
      <form onsubmit={submit} class="space-y-3">
        <Dialog.Title class="font-label text-xl font-semibold text-hold">Override: {title}</Dialog.Title>
        <Dialog.Description
          >The hold stands for a reason. Yours is kept in the record and appears in the report.</Dialog.Description
        >
        <label class="block"
          ><span class="label-caps">Reason</span><textarea
            class="textarea w-full"
            rows="3"
            maxlength="2000"
            bind:value={reason}
            aria-invalid={complaint ? 'true' : undefined}></textarea></label
        >
        {#if complaint}<p class="font-medium text-error" role="alert">{complaint}</p>{/if}
        <div class="flex justify-end gap-2">
          <button type="button" class="btn btn-outline btn-primary" onclick={onclose}>Leave it in force</button>
          <button class="btn btn-outline btn-secondary">Override</button>
        </div>
      </form>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
