<script lang="ts">
  import { byTime } from '$core/units/instant.ts';
  import { cylinderCount } from '$core/engine/profile.ts';
  import { refusal } from '$core/holds/against.ts';
  import { allItems } from '$core/stations/items.ts';
  import { checkEntry, sayValue } from '$core/items/check-entry.ts';
  import type { Conditions, Instrument, Reading } from '$core/record/reading.ts';
  import { onMount } from 'svelte';
  import { compareAll } from '$core/stations/compression/compare.ts';
  import { pressures } from '$core/stations/compression/measure.ts';
  import { voidWords } from '$core/stations/compression/sheet-words.ts';
  import { clearDraft, readDraft, writeDraft } from '../../form/drafts.ts';
  import { useSession } from '../../session/session.svelte.ts';

  /** One field a cylinder: the needle at rest, or the needle after each pull one after the other. */
  let { conditions, instrument }: { conditions: Conditions; instrument: Instrument | undefined } = $props();
  const session = useSession();
  const count = $derived(cylinderCount(session.survey.engine.profile) ?? 1);
  const cylinders = $derived(Array.from({ length: count }, (_, k) => k + 1));
  const stop = $derived(refusal(session.judgement.holds, 'compression.pressure') ?? '');
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

  /** Two numbers or more are a series of pulls, one is the needle at rest. */
  const whatOf = (text: string): 'compression.pulls' | 'compression.pressure' =>
    /\d[\s;/]+\d/.test(text.trim()) ? 'compression.pulls' : 'compression.pressure';

  const more = (cylinder: number, typed: string) => ({
    cylinder,
    typed,
    conditions,
    ...(instrument ? { instrument } : {})
  });
  const taken = (c: number): Reading[] => {
    const where = { cylinder: c, round: session.roundOf('compression') };
    const list: Reading[] = [
      ...session.record.all('compression.pressure', where),
      ...session.record.all('compression.pulls', where)
    ];
    return list.sort(byTime);
  };

  function typing(c: number, text: string): void {
    drafts[c] = text;
    writeDraft(key(c), text);
    const what = whatOf(text);
    const checked = text.trim() ? checkEntry(allItems[what], text, session.units) : undefined;
    if (!checked || checked.ok) complaints[c] = '';
    session.preview =
      checked?.ok && checked.value !== 'unknown' ? session.reading(what, checked.value, more(c, text)) : undefined;
  }

  function commit(c: number): boolean {
    const text = drafts[c] ?? '';
    session.preview = undefined;
    if (!text.trim()) return true;
    const what = whatOf(text);
    const checked = checkEntry(allItems[what], text, session.units);
    if (!checked.ok) {
      complaints[c] = checked.message;
      return false;
    }
    session.read(what, checked.value, more(c, text.trim()));
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
      const checked = checkEntry(allItems[r.what], text, session.units);
      if (!checked.ok) return void (complaints[r.cylinder ?? 0] = checked.message);
      session.correct(r, checked.value, text);
    }
    fixing = undefined;
  }
  /** Readings that say nothing stay where they are, struck through, with the reason. */
  const nothing = $derived(
    new Map([
      ...[...pressures(session.judgement.context).values()].flatMap((m) =>
        m.voided.map((v) => [v.reading.id, v.why] as const)
      ),
      ...(compareAll(session.judgement.context)?.outdone ?? []).map((r) => [r.id, 'outdone'] as const)
    ])
  );
  /** A reading in full, for its title and for those who listen: every pull, the oil, the volts. */
  const said = (r: Reading): string =>
    `${sayValue(allItems[r.what], r.value, session.units)}${nothing.has(r.id) ? ` · ${voidWords[nothing.get(r.id)!]}` : ''}${
      r.conditions?.bores === 'oiled' ? ' oiled' : ''
    }${r.conditions?.volts ? ` · ${r.conditions.volts} V` : ''}`;
  /** Between two words of a button that no line parts. */
  const gap = ' ';
  /** Where the needle came to rest. */
  const short = (r: Reading): string =>
    sayValue(allItems['compression.pressure'], Array.isArray(r.value) ? r.value.at(-1) : r.value, session.units);
  const focus = (node: HTMLInputElement): void => node.focus();
  /** Pull by pull needs a keyboard with a space; the needle at rest is a number. */
  let pulls = $state(false);
  const example = $derived(
    pulls ? (session.units === 'us' ? '60 80 90 94' : '4.1 5.5 6.2') : session.units === 'us' ? '95 psi' : '6.5 bar'
  );
</script>

<ol>
  {#each cylinders as c (c)}
    {@const list = taken(c)}
    <li
      class="grid grid-cols-[minmax(3.5rem,22%)_minmax(5rem,34%)_minmax(0,1fr)] items-center gap-x-2 border-b border-line py-[3px] sm:grid-cols-[7rem_10rem_1fr]"
    >
      <label class="leading-tight" for="compression-{c}"
        ><span class="label-caps">Cylinder {c}</span>{#if list.length}<span class="block text-sm"
            ><span class="sr-only">, </span>repeat {list.length + 1}</span
          >{/if}</label
      >
      <div>
        <input
          id="compression-{c}"
          class="input w-full text-lg"
          inputmode={pulls ? 'text' : 'decimal'}
          enterkeyhint={c === count ? 'done' : 'next'}
          autocomplete="off"
          placeholder={example}
          disabled={Boolean(stop)}
          value={drafts[c] ?? ''}
          aria-invalid={complaints[c] ? 'true' : undefined}
          aria-describedby={complaints[c] ? `compression-${c}-error` : undefined}
          oninput={(e) => typing(c, e.currentTarget.value)}
          onchange={() => commit(c)}
          onkeydown={(e) => onkeydown(e, c)}
        />
      </div>
      <div class="flex min-h-[44px] flex-wrap items-center gap-1.5">
        {#each list as r (r.id)}
          {#if fixing?.id === r.id}
            <input
              class="input w-40"
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
              class="chip max-w-full flex-wrap px-2"
              title="{said(r)}: correct or take back"
              onclick={() =>
                (fixing = { id: r.id, text: r.typed ?? sayValue(allItems[r.what], r.value, session.units) })}
              >{#if nothing.has(r.id)}<s class="sounding">{short(r)}</s>
                {voidWords[nothing.get(r.id)!]}{:else}<span class="sounding">{short(r)}</span
                >{/if}{#if r.conditions?.bores === 'oiled'}{gap}<span class="text-sm">oiled</span
                >{/if}{#if Array.isArray(r.value)}{gap}<span class="text-sm">{r.value.length} pulls</span>{/if}</button
            >
          {/if}
        {:else}<span class="text-sm">no reading yet</span>{/each}
      </div>
      {#if complaints[c]}<p id="compression-{c}-error" class="col-span-3 font-medium text-error" role="alert">
          {complaints[c]}
        </p>{/if}
    </li>
  {/each}
</ol>
<div class="text-sm">
  <label class="tap gap-2"
    ><input type="checkbox" class="toggle toggle-primary" bind:checked={pulls} /> pull by pull: the needle after each</label
  >
</div>
