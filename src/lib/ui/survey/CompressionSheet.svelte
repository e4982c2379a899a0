<script lang="ts">
  import { allItems } from '$core/stations/items.ts';
  import { absolute } from '$core/stations/compression/absolute.ts';
  import { compare } from '$core/stations/compression/compare.ts';
  import { cylinderCount } from '$core/engine/profile.ts';
  import { refusal } from '$core/holds/index.ts';
  import { checkEntry, sayValue } from '$core/survey/check-entry.ts';
  import type { Conditions, Instrument, Reading } from '$core/survey/reading.ts';
  import { onMount, type Snippet } from 'svelte';
  import { clearDraft, readDraft, writeDraft } from '../form/drafts.ts';
  import CompressionBars from './CompressionBars.svelte';
  import LimitLine from './LimitLine.svelte';
  import { useSession } from './session.svelte.ts';

  /** Per cylinder: what was read, and the next reading; the bars move as it is typed. */
  let {
    conditions,
    instrument,
    settings
  }: { conditions: Conditions; instrument: Instrument | undefined; settings: Snippet } = $props();
  const session = useSession();
  const item = allItems['compression.pressure'];
  const count = $derived(cylinderCount(session.survey.engine.profile) ?? 1);
  const cylinders = $derived(Array.from({ length: count }, (_, k) => k + 1));
  const stop = $derived(refusal(session.judgement.holds, 'compression.pressure') ?? '');
  const comparison = $derived(compare(session.judgement.context));
  /** What the adapter alone takes away, where its volume counts and the engine's is known. */
  const without = $derived(comparison ? absolute(session.judgement.context, comparison).adapter : undefined);
  let drafts = $state<Record<number, string>>({});
  let complaints = $state<Record<number, string>>({});
  let fixing = $state<{ id: string; text: string }>();

  const key = (c: number): string => `${session.surveyId}:compression:${c}`;
  onMount(() => {
    for (const c of cylinders) {
      const kept = readDraft(key(c));
      if (kept) typing(c, kept);
    }
  });

  const more = (cylinder: number, typed: string) => ({
    cylinder,
    typed,
    conditions,
    ...(instrument ? { instrument } : {})
  });

  function typing(c: number, text: string): void {
    drafts[c] = text;
    writeDraft(key(c), text);
    const checked = text.trim() ? checkEntry(item, text, session.units) : undefined;
    if (!checked || checked.ok) complaints[c] = '';
    session.preview =
      checked?.ok && typeof checked.value === 'number'
        ? session.reading('compression.pressure', checked.value, more(c, text))
        : undefined;
  }

  function commit(c: number): boolean {
    const text = drafts[c] ?? '';
    session.preview = undefined;
    if (!text.trim()) return true;
    const checked = checkEntry(item, text, session.units);
    if (!checked.ok) {
      complaints[c] = checked.message;
      return false;
    }
    session.read('compression.pressure', checked.value, more(c, text.trim()));
    drafts[c] = '';
    complaints[c] = '';
    clearDraft(key(c));
    return true;
  }

  function onkeydown(e: KeyboardEvent, c: number): void {
    const to = e.key === 'ArrowDown' ? c + 1 : e.key === 'ArrowUp' ? c - 1 : e.key === 'Enter' ? c + 1 : 0;
    if (!to) return;
    e.preventDefault();
    if (e.key === 'Enter' && !commit(c)) return;
    document.getElementById(`compression-${Math.min(Math.max(to, 1), count)}`)?.focus();
  }

  function fix(r: Reading): void {
    if (!fixing) return;
    const text = fixing.text.trim();
    if (text === '') session.correct(r, undefined);
    else {
      const checked = checkEntry(item, text, session.units);
      if (!checked.ok) return void (complaints[r.cylinder ?? 0] = checked.message);
      session.correct(r, checked.value, text);
    }
    fixing = undefined;
  }
  const focus = (node: HTMLInputElement): void => node.focus();
</script>

<CompressionBars {comparison} {without} {cylinders} units={session.units} />
{@render settings()}
<ol class="mt-2">
  {#each cylinders as c (c)}
    {@const taken = session.record.all('compression.pressure', { cylinder: c, round: session.roundOf('compression') })}
    <li class="grid grid-cols-[minmax(7rem,10rem)_1fr] items-start gap-x-3 border-t border-line py-1.5">
      <div>
        <label class="label-caps" for="compression-{c}"
          >Cylinder {c}{taken.length ? `, repeat ${taken.length + 1}` : ''}</label
        >
        <input
          id="compression-{c}"
          class="field"
          inputmode="decimal"
          autocomplete="off"
          placeholder={session.units === 'us' ? '95 psi' : '6.5 bar'}
          disabled={Boolean(stop)}
          value={drafts[c] ?? ''}
          aria-invalid={complaints[c] ? 'true' : undefined}
          aria-describedby={complaints[c] ? `compression-${c}-error` : undefined}
          oninput={(e) => typing(c, e.currentTarget.value)}
          onchange={() => commit(c)}
          onkeydown={(e) => onkeydown(e, c)}
        />
      </div>
      <div class="flex min-h-[44px] flex-wrap items-end gap-1.5 self-end">
        {#each taken as r (r.id)}
          {#if fixing?.id === r.id}
            <input
              class="field w-28"
              aria-label="Correct this reading; empty takes it back"
              value={fixing.text}
              {@attach focus}
              oninput={(e) => fixing && (fixing.text = e.currentTarget.value)}
              onkeydown={(e) => e.key === 'Enter' && fix(r)}
              onblur={() => fix(r)}
            />
          {:else}
            <button
              type="button"
              class="chip"
              title="Correct or take back"
              onclick={() => (fixing = { id: r.id, text: r.typed ?? sayValue(item, r.value, session.units) })}
              >{sayValue(item, r.value, session.units)}{r.conditions?.bores === 'oiled' ? ' oiled' : ''}{r.conditions
                ?.volts
                ? ` · ${r.conditions.volts} V`
                : ''}</button
            >
          {/if}
        {:else}<span class="self-center text-sm">no reading yet</span>{/each}
      </div>
      {#if complaints[c]}<p id="compression-{c}-error" class="col-span-2 font-medium text-error" role="alert">
          {complaints[c]}
        </p>{/if}
    </li>
  {/each}
</ol>
<LimitLine id="compression.figure" />
<LimitLine id="compression.spread" />
