<script lang="ts">
  import { page } from '$app/state';
  import { sayDate } from '$lib/ui/marks/day.ts';
  import { historyItems } from '$core/engine/profile.ts';
  import { allItems } from '$core/stations/items.ts';
  import ItemInput from '$lib/ui/form/ItemInput.svelte';
  import { beforeAfter } from '$core/history/before-after.ts';
  import { clearDraft, readDraft, writeDraft } from '$lib/ui/form/drafts.ts';
  import Shape from '$lib/ui/marks/Shape.svelte';
  import BeforeAfterTable from '$lib/ui/survey/BeforeAfterTable.svelte';
  import { useSession } from '$lib/ui/session/session.svelte.ts';

  import { onMount } from 'svelte';

  let { data, form } = $props();
  const session = $derived(useSession());
  const j = $derived(session.judgement);
  const gates = $derived(session.concluded.gates);
  const through = $derived(session.concluded.ready);
  /** Through without a word more to say. */
  const clear = $derived(gates.filter((g) => g.passes && !g.reason && !g.later));
  const rows = $derived(beforeAfter(j.context));
  const base = $derived(`/surveys/${session.surveyId}`);
  const unsent = $derived(session.outbox.waiting.length);
  let reasons = $state<Record<string, string>>({});
  let complaints = $state<Record<string, string>>({});

  const draftOf = (gate: string): string => `${session.surveyId}:reason:${gate}`;
  onMount(() => {
    for (const g of gates) {
      const kept = readDraft(draftOf(g.id));
      if (kept) reasons[g.id] = kept;
    }
  });
  function typing(gate: string, text: string): void {
    reasons[gate] = text;
    writeDraft(draftOf(gate), text);
  }

  function give(gate: string): void {
    const text = (reasons[gate] ?? '').trim();
    if (text.length < 3) return void (complaints[gate] = 'Say why in a few words; it stands in the record.');
    complaints[gate] = '';
    session.reason(gate, text);
    reasons[gate] = '';
    clearDraft(draftOf(gate));
  }
</script>

<svelte:head><title>Ready for service · {session.survey.engine.identity.tag ?? 'engine'} · Indaga</title></svelte:head>

<div class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_21rem]">
  <section aria-labelledby="ready-title">
    <h2 id="ready-title" class="text-2xl">Ready for service</h2>
    <p class="text-sm">
      A fault or a hold closes a gate until it is cured. What is only doubtful may stay open with a reason, and what may
      wait has its date.
    </p>
    <ol class="mt-2">
      {#each gates.filter((g) => !g.passes || g.reason || g.later) as g (g.id)}
        <li class="grid grid-cols-[1.6rem_1fr] gap-x-2 border-t border-line py-1.5">
          <span class="pt-1"><Shape condition={g.condition} size={20} /></span>
          <div>
            <div class="flex flex-wrap items-baseline justify-between gap-2">
              <h3>
                {#if g.station}<a class="hover:underline" href="{base}/{g.station}">{g.title}</a
                  >{:else if g.id === 'jobs'}<a class="hover:underline" href="{base}/jobs">{g.title}</a
                  >{:else}{g.title}{/if}
              </h3>
              {#if !g.passes && (g.station || g.id === 'jobs' || g.id === 'tray')}<a
                  class="plain-link ml-auto text-sm"
                  href="{base}/{g.station ?? g.id}"
                  >{g.station ? 'Go to the check' : g.id === 'jobs' ? 'To the job list' : 'To the tray'}</a
                >{/if}
              <span
                class="text-sm font-semibold {g.passes
                  ? 'text-success'
                  : g.condition === 'held'
                    ? 'text-hold'
                    : 'text-error'}"
                >{!g.passes
                  ? 'closed'
                  : g.condition === 'sound'
                    ? 'through'
                    : g.later
                      ? 'through, with a date'
                      : 'through, with a reason'}</span
              >
            </div>
            <p class="text-[0.95rem]">{g.sentence}</p>
            {#if g.reason}<p class="mt-1 border-l-2 border-warning pl-2 text-sm">
                Left open because: {g.reason.text}{g.reason.by ? ` (${g.reason.by})` : ''}
              </p>{/if}
            {#if g.id === 'handover' && !g.passes}
              <div class="mt-2 space-y-2">
                {#each ['run.tight', 'run.counters'] as const as what (what)}
                  <ItemInput
                    item={allItems[what]}
                    name={what}
                    value={session.current(what)?.value}
                    units={session.units}
                    oncommit={(value, typed) => session.read(what, value, typed ? { typed } : {})}
                  />
                {/each}
                <ItemInput
                  item={historyItems.hours}
                  name="history.hours"
                  value={session.survey.engine.history.hours}
                  units={session.units}
                  draftKey="{session.surveyId}:hours"
                  oncommit={(value) => session.fact('history.hours', value)}
                />
              </div>
            {/if}
            {#if !g.passes && g.reasonOpens}
              <div class="mt-1 flex flex-wrap items-end gap-2">
                <label class="min-w-52 flex-1"
                  ><span class="label-caps">May stay open, because</span><input
                    class="input w-full"
                    value={reasons[g.id] ?? ''}
                    oninput={(e) => typing(g.id, e.currentTarget.value)}
                    maxlength="2000"
                    aria-invalid={complaints[g.id] ? 'true' : undefined}
                  /></label
                >
                <button
                  type="button"
                  class="btn btn-outline btn-primary"
                  onclick={() => give(g.id)}
                  aria-label="Leave open with this reason: {g.title}">Leave open</button
                >
              </div>
              {#if complaints[g.id]}<p class="font-medium text-error" role="alert">{complaints[g.id]}</p>{/if}
            {/if}
          </div>
        </li>
      {/each}
    </ol>
    {#if clear.length}
      <h3 class="mt-3">Through</h3>
      <ul class="grid gap-x-6 md:grid-cols-2">
        {#each clear as g (g.id)}
          <li class="flex min-w-0 items-center gap-2 border-t border-line py-1">
            <Shape condition={g.condition} size={16} />
            <strong class="shrink-0 font-label"
              >{#if g.station}<a class="hover:underline" href="{base}/{g.station}">{g.title}</a
                >{:else}{g.title}{/if}</strong
            >
            <span class="truncate text-sm" title={g.sentence}>{g.sentence}</span>
          </li>
        {/each}
      </ul>
    {/if}
    {#if rows.length}
      <h3 class="mt-4 mb-2">Before and after</h3>
      <BeforeAfterTable {rows} />
    {/if}
  </section>
  <aside>
    <form method="POST" class="panel space-y-3 p-4" aria-label="Sign-off">
      <h2>Sign-off</h2>
      {#if data.release}
        <p>
          <Shape condition="sound" word={false} /> Signed by <strong>{data.release.signedBy}</strong>, {sayDate(
            data.release.at,
            'd MMM yyyy HH:mm'
          )}.
        </p>
        <p class="text-sm break-all">Hash of the record: <span class="font-mono">{data.release.hash}</span></p>
        <p><a class="btn btn-primary w-full" href="{base}/record">Open the record</a></p>
        <p class="text-sm">Signing again makes a second record; the first one stays.</p>
      {/if}
      <p class="font-semibold {through ? 'text-success' : ''}">
        {through
          ? 'Every gate is through.'
          : `${gates.filter((g) => !g.passes).length} of ${gates.length} gates are closed.`}
      </p>
      {#if data.access}
        <p>
          Signed as <strong dir="auto">{data.prefs.who || 'nobody yet'}</strong>.
          <a class="plain-link tap" href="/people?back={encodeURIComponent(page.url.pathname)}">Sign in with your PIN</a
          >
        </p>
      {:else}
        <label class="block"
          ><span class="label-caps">Your name</span><input
            class="input w-full"
            name="name"
            value={form?.name ?? data.prefs.who}
            maxlength="120"
            autocomplete="name"
          /></label
        >
      {/if}
      {#if form?.message}<p class="font-medium text-error" role="alert">{form.message}</p>{/if}
      {#if unsent}<p class="text-warning">
          {unsent}
          {unsent === 1 ? 'entry is' : 'entries are'} not sent yet; sign when they are.
        </p>{/if}
      <button class="btn btn-primary w-full" disabled={!through || unsent > 0}>Sign: ready for service</button>
      <p class="text-sm">
        The record is frozen with a SHA-256 hash of everything it rests on. The maker’s manual and local rules stand
        above it.
      </p>
    </form>
    <p class="mt-3 flex flex-wrap gap-2">
      <a class="btn btn-outline btn-primary" href="{base}/record">Preview the record</a><a
        class="btn btn-outline btn-primary"
        href="{base}/file.json"
        download>Export the survey file</a
      ><a class="btn btn-outline btn-primary" href="{base}/bundle.zip" download>Export with its photographs</a>
    </p>
  </aside>
</div>
