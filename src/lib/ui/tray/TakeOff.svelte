<script lang="ts">
  import type { Step } from '$core/plan/plan.ts';
  import { parseQuantity } from '$core/units/index.ts';
  import { onMount } from 'svelte';
  import { clearDraft, readDraft, writeDraft } from '../form/drafts.ts';
  import { useSession } from '../session/session.svelte.ts';
  import { takeOff } from '../session/work.ts';
  import Camera from '@lucide/svelte/icons/camera';

  /** One part off: as few taps as a wet hand can do. What is half typed outlives a reload. */
  let { steps, oneTime, number }: { steps: readonly Step[]; oneTime: readonly string[]; number: number } = $props();
  const session = useSession();
  const blank = { name: '', count: '', size: '', length: '', head: '', tool: '', place: '', oneTime: false, step: '' };
  let form = $state({ ...blank });
  let files = $state.raw<FileList>();
  let complaints = $state<{ name?: string; count?: string; length?: string }>({});
  const key = $derived(`${session.surveyId}:tray`);
  onMount(() => {
    const kept = readDraft(key);
    if (kept) form = { ...blank, ...(JSON.parse(kept) as typeof blank) };
  });
  const keep = (): void => writeDraft(key, JSON.stringify(form));
  const text = (v: string): string | undefined => v.trim() || undefined;
  let nameField: HTMLInputElement;

  function submit(e: SubmitEvent): void {
    e.preventDefault();
    complaints = {};
    const length = form.length.trim() ? parseQuantity(form.length, 'length', session.units) : undefined;
    if (!form.name.trim()) complaints.name = 'What came off? A name is enough.';
    if (length && !length.ok) complaints.length = length.message;
    else if (length?.ok && !(length.si > 0 && length.si <= 2))
      complaints.length = 'A length between nothing and two metres.';
    const count = form.count.trim() ? Number(form.count) : undefined;
    if (count !== undefined && !(Number.isInteger(count) && count >= 1 && count <= 99))
      complaints.count = 'A number from 1 to 99, or nothing.';
    if (complaints.name || complaints.length || complaints.count) return;
    const [size, place, step] = [text(form.size), text(form.place), text(form.step)];
    const [head, tool] = [text(form.head), text(form.tool)];
    const id = takeOff(session, {
      name: form.name.trim(),
      ...(count === undefined || count === 1 ? {} : { count }),
      ...(size ? { size } : {}),
      ...(head ? { head } : {}),
      ...(tool ? { tool } : {}),
      ...(length?.ok ? { length: length.si } : {}),
      ...(place ? { place } : {}),
      ...(form.oneTime ? { oneTime: true as const } : {}),
      ...(step ? { step } : {})
    });
    for (const file of files ?? []) void session.photos.take(`tray:${id}`, file);
    // The next one is mostly of the same kind: its size stays, its place does not.
    form = { ...blank, size: form.size, length: form.length, head: form.head, tool: form.tool, step: form.step };
    files = undefined;
    clearDraft(key);
    nameField.focus();
  }
</script>

<form class="panel space-y-2.5 p-3" onsubmit={submit} oninput={keep} novalidate>
  <h3 class="text-lg">Off comes number <span class="sounding text-2xl">{number}</span></h3>
  <label class="block"
    ><span class="label-caps">Part</span><input
      class="input w-full"
      bind:this={nameField}
      bind:value={form.name}
      maxlength="120"
      list="tray-names"
      placeholder="leg bolt, port aft"
      aria-invalid={complaints.name ? 'true' : undefined}
    /></label
  >
  {#if complaints.name}<p class="font-medium text-error" role="alert">{complaints.name}</p>{/if}
  <datalist id="tray-names"
    >{#each oneTime as n (n)}<option value={n}></option>{/each}</datalist
  >
  <div class="grid grid-cols-2 gap-2">
    <label class="block"
      ><span class="label-caps">Size</span><input
        class="input w-full"
        bind:value={form.size}
        maxlength="60"
        placeholder="M8"
      /></label
    >
    <label class="block"
      ><span class="label-caps">Length</span><input
        class="input w-full"
        bind:value={form.length}
        maxlength="40"
        inputmode="decimal"
        placeholder="40 mm"
        aria-invalid={complaints.length ? 'true' : undefined}
      /></label
    >
  </div>
  {#if complaints.length}<p class="font-medium text-error" role="alert">{complaints.length}</p>{/if}
  <div class="grid grid-cols-[1fr_1fr_5rem] gap-2">
    {#each [['head', 'Head', '13 mm hexagon', 40], ['tool', 'Tool, extension', 'socket, 250 mm', 80], ['count', 'How many', '1', 2]] as const as [id, label, hint, most] (id)}
      <label class="block"
        ><span class="label-caps">{label}</span><input
          class="input w-full"
          bind:value={form[id]}
          maxlength={most}
          inputmode={id === 'count' ? 'numeric' : 'text'}
          placeholder={hint}
          aria-invalid={id === 'count' && complaints.count ? 'true' : undefined}
        /></label
      >
    {/each}
  </div>
  {#if complaints.count}<p class="font-medium text-error" role="alert">{complaints.count}</p>{/if}
  <label class="block"
    ><span class="label-caps">Where it sat</span><input
      class="input w-full"
      bind:value={form.place}
      maxlength="160"
      placeholder="under the pump, port"
    /></label
  >
  {#if steps.length}
    <label class="block"
      ><span class="label-caps">For the job</span><select class="select w-full" bind:value={form.step} onchange={keep}>
        <option value="">not said</option>
        {#each steps as s (s.id)}<option value={s.id}>{s.title}</option>{/each}
      </select></label
    >
  {/if}
  <label class="flex min-h-11 items-center gap-2"
    ><input type="checkbox" class="checkbox" bind:checked={form.oneTime} onchange={keep} /> Goes on once only: a new one goes
    back</label
  >
  <div class="flex flex-wrap gap-2">
    <label class="chip soft cursor-pointer"
      ><Camera size={18} aria-hidden="true" />
      {files?.length ? `${files.length} taken` : 'Photograph'}
      <input
        type="file"
        accept="image/jpeg,image/png,image/webp"
        capture="environment"
        class="sr-only"
        aria-label="Photograph of the part"
        onchange={(e) => (files = e.currentTarget.files ?? undefined)}
      /></label
    >
    <button class="btn btn-primary flex-1">It is off</button>
  </div>
</form>
