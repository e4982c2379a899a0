<script lang="ts">
  import HazardLines from '$lib/ui/marks/HazardLines.svelte';
  import Shape from '$lib/ui/marks/Shape.svelte';

  let { data, form } = $props();
  const step = $derived(data.steps.find((s) => s.key === data.step));
  const having = $derived(data.rows.filter((r) => data.step !== undefined && Object.hasOwn(r.steps, data.step)));
  const left = $derived(having.filter((r) => !r.steps[data.step!]!.done));
  const through = $derived(having.filter((r) => r.steps[data.step!]!.done));
  const number = $derived(new Map(data.steps.map((s, k) => [s.key, k + 1])));
  const link = (id: string): string =>
    `?flow=${data.flow.id}&owner=${encodeURIComponent(data.owner)}&who=${encodeURIComponent(data.who)}&step=${id}`;
  const ofHand = (who: string): string =>
    `?flow=${data.flow.id}&owner=${encodeURIComponent(data.owner)}&who=${encodeURIComponent(who)}`;
  const given = $derived(form && 'given' in form ? form : undefined);
  const oiled = $derived(data.rows.filter((r) => r.oiled));
</script>

<svelte:head><title>{data.flow.title} of many · Care · Indaga</title></svelte:head>

<p class="no-print mb-1"><a class="plain-link tap" href="/care">Care</a></p>
<h1>
  {data.flow.title}, {data.rows.length}
  {data.rows.length === 1 ? 'engine' : 'engines'}{data.owner ? ` of ${data.owner}` : ''}{data.who
    ? ` in ${data.who}’s hands`
    : ''}
</h1>
{#if data.who}<p class="no-print"><a class="plain-link tap" href={ofHand('')}>All of them</a></p>{/if}
<form method="GET" class="no-print mt-2 flex flex-wrap items-end gap-2">
  <label
    ><span class="label-caps">Whose</span><select class="select w-full" name="owner" value={data.owner}>
      <option value="">the whole yard</option>
      {#each data.owners as o (o.owner)}<option value={o.owner}>{o.owner} ({o.engines})</option>{/each}
    </select></label
  >
  <label
    ><span class="label-caps">Job</span><select class="select w-full" name="flow" value={data.flow.id}>
      {#each data.flows as f (f.id)}<option value={f.id}>{f.title}</option>{/each}
    </select></label
  >
  <button class="btn btn-outline btn-primary">Show</button>
</form>
{#if !data.rows.length}
  <p class="mt-3">
    No engine of theirs is in the yard. Take them in, each with its owner, and they stand here together.
  </p>
{:else if step}
  <div class="mt-4 grid gap-5 lg:grid-cols-[22rem_minmax(0,1fr)]">
    <nav class="no-print order-2 lg:order-1" aria-label="Steps">
      <ol>
        {#each data.steps as s (s.key)}
          <li class="border-t border-line">
            <a
              class="flex min-h-11 items-baseline gap-2 py-1.5 {s.key === data.step ? 'font-semibold' : ''}"
              href={link(s.key)}
              aria-current={s.key === data.step ? 'step' : undefined}
              ><span class="sounding w-7 shrink-0">{number.get(s.key)}</span><span class="grow">{s.text}</span><span
                class="text-sm whitespace-nowrap">{s.done} of {s.of}</span
              ></a
            >
          </li>
        {/each}
      </ol>
    </nav>
    <section class="order-1 lg:order-2" aria-labelledby="step-title">
      {#if step.careful.length}<HazardLines ids={step.careful} brief footer={false} label="Hazards of this step" />{/if}
      <h2 id="step-title"><span class="sounding mr-2">{number.get(step.key)}</span>{step.text}</h2>
      {#if form && 'message' in form}<p class="font-medium text-error" role="alert">{form.message}</p>{/if}
      {#if form && 'ticked' in form && form.ticked}
        <p class="font-semibold" role="status">
          Ticked for {form.ticked.done}
          {form.ticked.done === 1 ? 'engine' : 'engines'}.
        </p>
        {#each form.ticked.refused as r (r)}<p class="font-medium text-error" role="alert">{r}</p>{/each}
      {/if}
      {#if left.length}
        <form
          method="POST"
          action="?/tick&flow={data.flow.id}&owner={encodeURIComponent(data.owner)}&who={encodeURIComponent(
            data.who
          )}&step={step.key}"
        >
          <input type="hidden" name="flow" value={data.flow.id} />
          <input type="hidden" name="step" value={step.id} />
          <fieldset class="mt-2 grid gap-x-4 sm:grid-cols-2">
            <legend class="label-caps">Engines still to do</legend>
            {#each left as r (r.engineId)}
              <label class="flex min-h-11 items-center gap-3 border-t border-line"
                ><input class="checkbox" type="checkbox" name="engine" value={r.engineId} /><span class="font-semibold"
                  >{r.tag}</span
                ></label
              >
            {/each}
          </fieldset>
          <button class="btn btn-primary mt-3">Done for those chosen</button>
        </form>
      {:else}<p class="mt-2 font-semibold">Every engine that has this step is through.</p>{/if}
      {#if through.length}
        <h3 class="mt-4">Through</h3>
        <ul>
          {#each through as r (r.engineId)}<li class="border-t border-line py-1.5">
              {r.tag}{r.steps[step.key]!.by ? `, ${r.steps[step.key]!.by}` : ''}
            </li>{/each}
        </ul>
      {/if}
    </section>
  </div>
  <section class="mt-5" aria-labelledby="hands-title">
    <h2 id="hands-title">Who does what</h2>
    <ul class="grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
      {#each data.hands as h (h.who ?? '')}
        <li class="border-t border-line py-1.5">
          {#if h.who}<a class="plain-link tap font-semibold" href={ofHand(h.who)}>{h.who}</a>{:else}<span
              class="font-semibold">Nobody yet</span
            >{/if}
          <span class="block text-sm"
            >{h.engines}
            {h.engines === 1 ? 'engine' : 'engines'}, {h.finished} through{h.left
              ? `, ${h.left} ${h.left === 1 ? 'step' : 'steps'} left`
              : ''}</span
          >
        </li>
      {/each}
    </ul>
    <details class="no-print mt-2" open={form && 'give' in form ? true : undefined}>
      <summary class="tap cursor-pointer font-semibold">Give engines to somebody</summary>
      <form
        method="POST"
        action="?/give&flow={data.flow.id}&owner={encodeURIComponent(data.owner)}&who={encodeURIComponent(
          data.who
        )}&step={step.key}"
        class="mt-2"
      >
        <fieldset class="grid gap-x-4 sm:grid-cols-2 lg:grid-cols-3">
          <legend class="label-caps">Engines</legend>
          {#each data.rows as r (r.engineId)}
            <label class="flex min-h-11 items-center gap-3 border-t border-line"
              ><input class="checkbox" type="checkbox" name="engine" value={r.engineId} /><span
                ><span class="font-semibold">{r.tag}</span>{#if r.inHand}<span class="text-sm">, {r.inHand}</span
                  >{/if}</span
              ></label
            >
          {/each}
        </fieldset>
        {#if form && 'give' in form}<p class="font-medium text-error" role="alert">{form.give}</p>{/if}
        <div class="mt-2 flex flex-wrap items-end gap-2">
          <label
            ><span class="label-caps">To (nobody, if left empty)</span><input
              class="input w-full"
              name="to"
              list="names"
              maxlength="60"
              autocomplete="off"
              value={form && 'give' in form ? form.to : ''}
            /></label
          >
          <datalist id="names"
            >{#each data.names as n (n)}<option value={n}></option>{/each}</datalist
          >
          <button class="btn btn-outline btn-primary">Give</button>
        </div>
      </form>
    </details>
    {#if given}<p class="font-semibold" role="status">
        {given.given}
        {given.given === 1 ? 'engine' : 'engines'}
        {given.to ? `in ${given.to}’s hands.` : 'in nobody’s hands.'}
      </p>{/if}
  </section>
  {#if data.needs.length}
    <section class="mt-5" aria-labelledby="needs-title">
      <h2 id="needs-title">What they still need together</h2>
      <ul class="grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
        {#each data.needs as n (n.supply)}
          <li class="border-t border-line py-1.5">
            <span class="sounding text-xl">{n.amount ?? '?'}</span>
            {n.label}{#if n.best}<span class="block text-sm">→ {n.best}</span>{/if}{#if n.unknown}<span
                class="block text-sm"
                >and of {n.unknown} {n.unknown === 1 ? 'engine' : 'engines'} nobody has entered how much</span
              >{/if}
          </li>
        {/each}
      </ul>
    </section>
  {/if}
  <section class="mt-5" aria-labelledby="table-title">
    <h2 id="table-title">Engine by step</h2>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="overflow-x-auto" role="region" aria-label="The table" tabindex="0">
      <table class="text-sm">
        <thead
          ><tr
            ><th scope="col" class="pr-3 text-left">Engine</th>
            {#each data.steps as s (s.key)}<th scope="col" class="px-1.5 text-center"
                ><span class="sounding">{number.get(s.key)}</span></th
              >{/each}</tr
          ></thead
        >
        <tbody>
          {#each data.rows as r (r.engineId)}
            <tr class="border-t border-line">
              <th scope="row" class="py-1 pr-3 text-left font-semibold whitespace-nowrap"
                ><a class="plain-link" href="/engines/{r.engineId}/care">{r.tag}</a></th
              >
              {#each data.steps as s (s.key)}
                {@const state = Object.hasOwn(r.steps, s.key)
                  ? r.steps[s.key]!.done
                    ? 'sound'
                    : 'not-looked-at'
                  : undefined}
                <td class="px-1.5 py-1 text-center"
                  >{#if state}<Shape condition={state} size={16} word={false} /><span class="sr-only"
                      >{state === 'sound' ? 'done' : 'to do'}</span
                    >{:else}<span class="sr-only">not on this engine</span>{/if}</td
                >
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  </section>
  {#if oiled.length}
    <section class="mt-5" aria-labelledby="labels-title">
      <h2 id="labels-title">Labels to cut out</h2>
      <ul class="grid gap-3 sm:grid-cols-2">
        {#each oiled as r (r.engineId)}<li class="border-2 border-hold p-3">
            <strong class="block text-xl">{r.tag}: DO NOT CRANK</strong>Oil is in its bores. Plugs out and turned by
            hand until no more comes, before any starter.
          </li>{/each}
      </ul>
    </section>
  {/if}
{/if}
