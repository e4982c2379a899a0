<script lang="ts">
  import { limits, type LimitId } from '$core/engine/limits.ts';
  import { parseQuantity, say } from '$core/units/index.ts';
  import { useSession } from '../session/session.svelte.ts';

  /** A limit we bring, and the place for the manual's own value with its page. */
  let { id }: { id: LimitId } = $props();
  const session = useSession();
  const limit = $derived(limits[id]);
  const manual = $derived(session.survey.engine.manual?.[id]);
  let typed = $state<string>();
  let upper = $state<string>();
  let page = $state<string>();
  const range = $derived('range' in limit);
  const said = $derived(
    manual
      ? [manual.value, ...(manual.to === undefined ? [] : [manual.to])]
          .map((v) => say(v, limit.dimension, session.units))
          .join(' to ')
      : ''
  );
  let complaint = $state('');

  function save(): void {
    const text = typed ?? (manual ? say(manual.value, limit.dimension, session.units) : '');
    if (text.trim() === '') {
      if (manual) session.fact(`manual.${id}`, null);
      [typed, complaint] = [undefined, ''];
      return;
    }
    const parsed = parseQuantity(text, limit.dimension, session.units);
    if (!parsed.ok) return void (complaint = parsed.message);
    if (parsed.si <= 0 && limit.dimension !== 'timing') return void (complaint = 'A limit is above zero.');
    const top = upper ?? (manual?.to === undefined ? '' : say(manual.to, limit.dimension, session.units));
    const to = range && top.trim() ? parseQuantity(top, limit.dimension, session.units) : undefined;
    if (to && !to.ok) return void (complaint = to.message);
    if (to && to.si < parsed.si) return void (complaint = 'The upper end lies above the lower one.');
    const at = (page ?? manual?.page ?? '').trim();
    session.fact(`manual.${id}`, { value: parsed.si, ...(to ? { to: to.si } : {}), ...(at ? { page: at } : {}) });
    [typed, upper, page, complaint] = [undefined, undefined, undefined, ''];
  }
</script>

<details class="border-t border-line text-sm">
  <summary class="flex min-h-[44px] cursor-pointer flex-wrap items-center gap-x-2">
    <span class="label-caps">{limit.label}</span>
    <span
      >{manual
        ? `${said} from the manual${manual.page ? `, page ${manual.page}` : ''}`
        : 'the manual’s value wins: enter it'}</span
    >
  </summary>
  <div class="space-y-2 pb-3">
    <p>{limit.source}</p>
    <div class="flex flex-wrap gap-2">
      <label class="grow"
        ><span class="label-caps">{range ? 'Manual’s range, from' : 'Manual’s value'}</span><input
          class="input w-full"
          value={typed ?? (manual ? say(manual.value, limit.dimension, session.units) : '')}
          oninput={(e) => (typed = e.currentTarget.value)}
          aria-invalid={complaint ? 'true' : undefined}
        /></label
      >
      {#if range}<label class="grow"
          ><span class="label-caps">to</span><input
            class="input w-full"
            value={upper ?? (manual?.to === undefined ? '' : say(manual.to, limit.dimension, session.units))}
            oninput={(e) => (upper = e.currentTarget.value)}
          /></label
        >{/if}
      <label class="w-28"
        ><span class="label-caps">Page</span><input
          class="input w-full"
          maxlength="60"
          value={page ?? manual?.page ?? ''}
          oninput={(e) => (page = e.currentTarget.value)}
        /></label
      >
      <button type="button" class="btn btn-outline btn-primary self-end" onclick={save}>Use it</button>
    </div>
    {#if complaint}<p class="font-medium text-error" role="alert">{complaint}</p>{/if}
  </div>
</details>
