<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import type { Decision } from '$core/decision/decide.ts';
  import { options, type OptionId } from '$core/record/options.ts';
  import { historyItems } from '$core/engine/profile.ts';
  import { ownersQuestion } from '$core/decision/question.ts';

  import { onMount } from 'svelte';
  import { clearDraft, readDraft, writeDraft } from '../form/drafts.ts';
  import ItemInput from '../form/ItemInput.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import CostChart from './CostChart.svelte';
  import { Deciding } from './deciding.svelte.ts';
  import Options from './Options.svelte';
  import Ways from './Ways.svelte';

  /** Is it worth it: what it may cost, the options, what would change the choice, and the choice itself with its reason. */
  let { first }: { first: Decision } = $props();
  const session = $derived(useSession());
  const deciding = new Deciding();
  let picked = $state<OptionId>();
  let reason = $state('');
  let authority = $state('');
  let complaint = $state('');
  const d = $derived(deciding.decision ?? first);
  const chosen = $derived(picked ?? d.recommended);
  const key = $derived(`${session.surveyId}:decision`);
  const taken = $derived((session.survey.decisions ?? []).toReversed());
  /** What is certain, what is likely, what is only reserve: never one sum. */
  const sums = $derived([
    ['Established', d.sums.established, 'service, missing parts, open jobs'],
    ['Likely besides', d.sums.likely, 'pointed to, not established'],
    ['Reserve', d.sums.reserve, 'what such engines usually still hide']
  ] as const);
  const money = ['worth', 'salvage', 'ceiling'] as const;
  const question = $derived(ownersQuestion(session.judgement, d, session.advice, session.concluded.steps, new Date()));

  onMount(() => {
    reason = readDraft(`${key}:reason`) ?? '';
    authority = readDraft(`${key}:authority`) ?? '';
    return () => deciding.stop();
  });
  $effect(() => deciding.ask(session.survey, session.units));

  function record(): void {
    if (reason.trim().length < 3)
      return void (complaint = 'Say why in a few words; it stays in the record with its date.');
    complaint = '';
    session.decide({
      option: chosen,
      reason: reason.trim(),
      ...(authority.trim() ? { authority: authority.trim() } : {}),
      cost: { mean: d.cost.mean, high: d.cost.high, ...(d.ceiling === undefined ? {} : { ceiling: d.ceiling }) },
      advised: d.recommended
    });
    reason = authority = '';
    picked = undefined;
    clearDraft(`${key}:reason`);
    clearDraft(`${key}:authority`);
  }
</script>

<section class="panel mt-4 p-4" aria-labelledby="worth-title" aria-busy={deciding.state === 'working'}>
  <div class="flex flex-wrap items-baseline justify-between gap-2">
    <h2 id="worth-title" class="text-2xl">Is it worth it?</h2>
    <p class="text-sm" role="status">
      {#if deciding.state === 'working'}drawing cases… <button
          type="button"
          class="plain-link"
          onclick={() => deciding.stop()}>stop</button
        >{:else if deciding.state === 'failed'}not drawn anew: the sums are those of the page’s first load{/if}
    </p>
  </div>
  <p class="mt-1 text-lg"><strong class="font-semibold">{options[d.recommended].label}.</strong> {d.because}</p>
  <div class="mt-3 grid gap-5 lg:grid-cols-[minmax(0,1fr)_19rem]">
    <div>
      <dl class="mb-3 grid grid-cols-3 gap-3">
        {#each sums as [label, sum, note] (label)}
          <div class="border-t-2 border-primary pt-1">
            <dt class="label-caps">{label}</dt>
            <dd class="sounding text-2xl">{Math.round(sum / 5) * 5}<span class="unit"> cr</span></dd>
            <dd class="text-sm leading-tight">{note}</dd>
          </div>
        {/each}
      </dl>
      <CostChart decision={d} />
      {#if d.spent >= 5}<p class="mt-1">About {Math.round(d.spent / 5) * 5} cr went into it so far.</p>{/if}
      {#if d.breakEven !== undefined}<p class="mt-1">
          It may cost {Math.round(d.breakEven / 5) * 5} cr before its parts are worth more.
        </p>{/if}
      {#if d.overCeiling !== undefined}<p class="mt-1 font-medium">
          {d.overCeiling > 0.995
            ? 'It passes what the owner’s word still reaches to in nearly every case: ask before anything more is opened.'
            : `${Math.round(100 * d.overCeiling)} in 100 pass what the owner’s word still reaches to.`}
        </p>{/if}
    </div>
    <div class="space-y-3">
      {#each money as k (k)}
        <ItemInput
          item={historyItems[k]}
          name="history.{k}"
          value={session.survey.engine.history[k]}
          units={session.units}
          draftKey="{session.engineId}:history.{k}"
          oncommit={(value) => session.fact(`history.${k}`, value)}
        />
      {/each}
      {#if !d.worthKnown}<p class="text-sm">
          What it is worth in running order is not known: no value is put on the options, and only holds, faults and the
          spread of the sum speak.
        </p>{/if}
    </div>
  </div>
  <div class="mt-4 grid gap-5 lg:grid-cols-2">
    <div>
      <h3>What makes up the sum, on average</h3>
      <table class="mt-1 w-full text-[0.95rem]">
        <thead class="sr-only"><tr><th>Work</th><th>Chance</th><th>Average</th></tr></thead>
        <tbody>
          {#each d.items as i (i.label)}<tr class="border-t border-line">
              <td class="py-1">{i.label}</td><td class="px-2 text-right text-sm whitespace-nowrap"
                >{i.probability > 0.99
                  ? 'certain'
                  : i.probability >= 0.5
                    ? 'likely'
                    : i.probability >= 0.12
                      ? 'possible'
                      : 'reserve'}</td
              ><td class="sounding text-right">{Math.round(i.mean)}<span class="unit"> cr</span></td>
            </tr>{/each}
        </tbody>
      </table>
    </div>
    <div>
      <h3>What would change the choice</h3>
      <ul class="mt-1 list-disc space-y-1 pl-5">
        {#each d.changes as c (c)}<li>{c}</li>{:else}<li>Nothing that is still in doubt would turn it.</li>{/each}
      </ul>
    </div>
  </div>
  <h3 class="mt-4 mb-2">The options</h3>
  <Options decision={d} {chosen} onchoose={(id) => (picked = id)} />
  {#if d.ways.length}<Ways ways={d.ways} />{/if}
  <div class="mt-4 grid gap-4 lg:grid-cols-2">
    <div>
      <h3>For the owner, in one paragraph</h3>
      <p class="mt-1 border-l-4 border-primary pl-3">{question}</p>
    </div>
    <div class="space-y-2">
      <h3>Decided: {options[chosen].label.toLowerCase()}</h3>
      <label class="block"
        ><span class="label-caps">Because</span><textarea
          class="textarea w-full"
          rows="2"
          maxlength="4000"
          bind:value={reason}
          oninput={() => writeDraft(`${key}:reason`, reason)}
          aria-invalid={complaint ? 'true' : undefined}></textarea></label
      >
      {#if complaint}<p class="font-medium text-error" role="alert">{complaint}</p>{/if}
      <label class="block"
        ><span class="label-caps">The owner’s answer, word for word</span><input
          class="input w-full"
          maxlength="4000"
          bind:value={authority}
          oninput={() => writeDraft(`${key}:authority`, authority)}
          placeholder="asked by telephone: go ahead up to …"
        /></label
      >
      <button type="button" class="btn btn-primary" onclick={record}>Record the decision</button>
    </div>
  </div>
  {#if taken.length}
    <h3 class="mt-4">Decided so far</h3>
    <ul>
      {#each taken as t (t.id)}<li class="border-t border-line py-2">
          <strong>{options[t.option].label}</strong>, {sayDate(t.at, 'd MMM yyyy HH:mm')}{t.by ? `, ${t.by}` : ''}: {t.reason}
          {#if t.authority}<span class="block border-l-2 border-primary pl-2 text-sm">The owner: “{t.authority}”</span
            >{/if}
        </li>{/each}
    </ul>
  {/if}
</section>
