<script lang="ts">
  import { numberRuleIds, numberRules, ruleNumber, ruleStep, school } from '$core/house-rules/rules.ts';
  import { topicIds, topics } from '$core/house-rules/topics.ts';
  import { say } from '$core/units/index.ts';

  let { data, form } = $props();
  const units = $derived(data.prefs.units);
</script>

<svelte:head><title>House rules · Reference · Indaga</title></svelte:head>
<p class="mb-1"><a class="plain-link tap" href="/reference">Reference</a></p>
<form method="POST" class="space-y-5" novalidate>
  <div class="flex flex-wrap items-end justify-between gap-3">
    <div>
      <h1>House rules</h1>
      <p>
        Where good technicians differ. Every judgement names the rule it was made by; the manual’s figure wins where it
        is entered.
      </p>
    </div>
    <button class="btn btn-primary">Save the rules</button>
  </div>
  {#if form?.message}<p class="font-semibold text-error" role="alert">{form.message}</p>{/if}
  {#if form?.saved}<p class="font-semibold text-success" role="status">
      Saved. Judgements follow from now on; signed records keep theirs.
    </p>{/if}
  {#if form && !form.saved}<p class="font-semibold text-error" role="alert">
      Not saved yet: a number below needs another look.
    </p>{/if}
  <div class="grid gap-3 md:grid-cols-2">
    {#each topicIds as id (id)}
      <div class="panel p-3">
        <label
          ><span class="font-label text-lg font-semibold">{topics[id].topic}</span>
          <select class="select w-full mt-1" name={id} value={school(data.rules, id)}>
            {#each Object.entries(topics[id].choices) as [value, words] (value)}<option {value}
                >{words}{value === topics[id].standard ? ' (our default)' : ''}</option
              >{/each}
          </select></label
        >
        <p class="mt-1 text-sm">Our default because: {topics[id].why}</p>
        <a class="plain-link tap text-sm" href="/reference/house-rules/{id}"
          >Side by side<span class="sr-only">: {topics[id].topic}</span></a
        >
      </div>
    {/each}
  </div>
  <h2>Numbers</h2>
  <p class="text-sm">Common practice, from memory; change them to what your climate and your manuals say.</p>
  <div class="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
    {#each numberRuleIds as id (id)}
      {@const rule = numberRules[id]}
      <div>
        <label
          ><span class="label-caps">{rule.label}</span><input
            class="input w-full"
            name={id}
            value={form && !form.saved
              ? form.typed[id]
              : say(ruleNumber(data.rules, id), rule.dimension, units, ruleStep(rule))}
            aria-invalid={form?.errors[id] ? 'true' : undefined}
          /></label
        >
        {#if form?.errors[id]}<p class="font-medium text-error" role="alert">{form.errors[id]}</p>{/if}
        <p class="text-sm">{rule.why}</p>
      </div>
    {/each}
  </div>
  <button class="btn btn-primary">Save the rules</button>
</form>
