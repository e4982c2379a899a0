<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import { standing } from '$core/record/current.ts';
  import { drowned } from '$core/record/drowned.ts';
  import { caseKinds } from '$core/engine/case-kind.ts';
  import { factGroups, factItem, type FactGroup } from '$core/engine/fact.ts';
  import type { Item } from '$core/items/item.ts';
  import { sayValue } from '$core/items/check-entry.ts';
  import EngineDrawing from '$lib/ui/drawing/EngineDrawing.svelte';
  import ItemInput from '$lib/ui/form/ItemInput.svelte';
  import EngineTabs from '$lib/ui/survey/EngineTabs.svelte';
  import HoldBanner from '$lib/ui/survey/HoldBanner.svelte';
  import { concludeBeside } from '$lib/ui/session/concluding.svelte.ts';
  import { provideSession, Session } from '$lib/ui/session/session.svelte.ts';

  import { onMount } from 'svelte';

  let { data, form } = $props();
  const session = $derived.by(() => new Session(data.session));
  provideSession(() => session);
  concludeBeside(() => session, false);
  const engine = $derived(session.survey.engine);
  const holds = $derived(session.judgement.holds.filter((h) => !h.standing));
  const base = $derived(`/surveys/${session.surveyId}`);
  const plate = $derived(standing(session.survey).findLast((r) => r.what === 'look.platePhoto')?.value);
  const groups: [FactGroup, string, string][] = [
    ['identity', 'Identity', 'The leg has an identity of its own; gear-case parts follow the leg.'],
    ['profile', 'What kind of engine', 'Decides which checks apply and what they mean.'],
    ['history', 'History', 'Unknown is a normal answer here.']
  ];
  const drownedOnly = new Set(['water', 'runningWhenSunk', 'hoursUnder', 'recoveredAt']);
  const fields = (group: FactGroup): [string, Item][] =>
    Object.entries(factGroups[group] as Record<string, Item>).filter(
      ([k]) => group !== 'history' || !drownedOnly.has(k) || drowned(session)
    );
  const valueOf = (group: FactGroup, key: string): unknown => (engine[group] as Record<string, unknown>)[key];
  const changeSaid = (path: string, value: unknown): string => {
    const item = factItem(path);
    if (path.startsWith('manual.')) return 'manual’s value';
    if (path.startsWith('card.')) return 'a line of its card';
    return item ? `${item.label}: ${value === null ? 'taken back' : sayValue(item, value, session.units)}` : path;
  };
  onMount(() => session.resume());
</script>

<svelte:head><title>{engine.identity.tag ?? 'Engine'} · Indaga</title></svelte:head>

<div class="mb-2 flex flex-wrap items-end justify-between gap-3">
  <div>
    <h1>{engine.identity.tag ?? 'no tag'}</h1>
    <p class="text-sm">{[engine.identity.maker, engine.identity.model].filter(Boolean).join(' ') || 'unknown make'}</p>
  </div>
  <div class="flex flex-wrap items-center gap-x-3">
    <p class="text-sm" role="status">
      {session.outbox.state === 'kept'
        ? 'No connection: kept in this browser, will be sent'
        : session.outbox.state === 'saving'
          ? 'Saving…'
          : 'Saved'}
    </p>
    <EngineTabs {base} engine="/engines/{session.engineId}" />
  </div>
</div>
<div class="mb-3"><HoldBanner {holds} {base} onoverride={(hold, reason) => session.override(hold, reason)} /></div>

<div class="grid gap-5 lg:grid-cols-[15rem_minmax(0,1fr)]">
  <aside class="space-y-4">
    <div class="panel p-3"><EngineDrawing profile={engine.profile} class="mx-auto w-40" /></div>
    {#if plate}<a class="block" href="/photos/{plate}"
        ><img
          src="/photos/{plate}?size=thumb"
          alt="Identity plate of {engine.identity.tag ?? 'this engine'}"
          class="w-full border border-line object-cover"
        /></a
      >{/if}
    <section aria-labelledby="assessments">
      <h2 id="assessments">Assessments</h2>
      <ul class="mt-1">
        {#each data.surveys as s (s.id)}
          <li>
            <a class="plain-link tap" href="/surveys/{s.id}"
              >{caseKinds[s.kind].label}, {sayDate(s.startedAt, 'd MMM yyyy')}</a
            >{#if s.released}<span class="block text-sm">back in service {sayDate(s.released, 'd MMM yyyy')}</span>{/if}
          </li>
        {/each}
      </ul>
      <details class="mt-2">
        <summary class="plain-link tap cursor-pointer">Begin another</summary>
        <form method="POST" action="?/assess" class="space-y-2">
          <label class="block"
            ><span class="label-caps">Kind of case</span><select class="select w-full" name="kind"
              >{#each Object.entries(caseKinds).filter(([v]) => v !== 'single-job') as [value, k] (value)}<option
                  {value}>{k.label}</option
                >{/each}</select
            ></label
          >
          {#if form && 'message' in form && !('about' in form)}<p class="text-error" role="alert">
              {form.message}
            </p>{/if}
          <button class="btn btn-primary w-full">Begin</button>
        </form>
      </details>
      <p class="mt-2">
        <a class="btn btn-primary w-full" href="/engines/{session.engineId}/care">Care and single jobs</a>
      </p>
      <p class="mt-2">
        <a class="btn btn-outline btn-primary w-full" href="/engines/{session.engineId}/history">History and trends</a>
      </p>
      <p class="mt-2">
        <a class="btn btn-outline btn-primary w-full" href="/engines/{session.engineId}/sister">Beside its sister</a>
      </p>
      <p class="mt-2">
        <a class="btn btn-outline btn-primary w-full" href="/engines/{session.engineId}/outings">Outings</a>
      </p>
      <p class="mt-2">
        <a class="btn btn-outline btn-primary w-full" href="/engines/{session.engineId}/tag">Tag with its code</a>
      </p>
      <p class="mt-2">
        <a class="btn btn-outline btn-primary w-full" href="{base}/file.json" download>Export the survey file</a>
      </p>
      <p class="mt-2">
        <a class="btn btn-outline btn-primary w-full" href="{base}/bundle.zip" download>Export with its photographs</a>
      </p>
    </section>
    <section aria-labelledby="owner-links">
      <h2 id="owner-links">For the owner</h2>
      <p class="text-sm">
        An address that shows this engine’s signed record and its care, and nothing else of the yard.
      </p>
      {#if form?.about === 'link' && 'address' in form}
        <p class="mt-1 border-l-4 border-success pl-3 text-sm break-all" role="status">
          {form.address}<span class="block">Shown this once: send it to the owner now.</span>
        </p>
      {:else if form?.about === 'link' && 'message' in form}<p class="font-medium text-error" role="alert">
          {form.message}
        </p>{/if}
      <ul class="mt-1">
        {#each data.links as l (l.id)}
          <li class="flex flex-wrap items-center justify-between gap-2 border-t border-line py-1 text-sm">
            <span>Made {sayDate(l.createdAt, 'd MMM yyyy')}{l.by ? ` by ${l.by}` : ''}</span>
            <form method="POST" action="?/withdraw">
              <input type="hidden" name="link" value={l.id} /><button class="plain-link tap">Withdraw</button>
            </form>
          </li>
        {/each}
      </ul>
      <form method="POST" action="?/link" class="mt-2">
        <button class="btn btn-outline btn-primary w-full">Make an address</button>
      </form>
    </section>
    {#if data.changes.length}
      <section>
        <h2>Last changes</h2>
        <ul class="mt-1 text-sm">
          {#each data.changes as c, k (k)}<li class="border-t border-line py-1 break-words">
              {changeSaid(c.path, c.value)}<span class="block opacity-80"
                >{c.by ? `${c.by}, ` : ''}{sayDate(c.at, 'd MMM HH:mm')}</span
              >
            </li>{/each}
        </ul>
      </section>
    {/if}
  </aside>
  <div class="space-y-3">
    {#each groups as [group, title, means] (group)}
      <details class="panel p-3" open={group === 'identity'}>
        <summary class="tap cursor-pointer"
          ><h2 class="inline">{title}</h2>
          <span class="ml-3 text-sm">{means}</span></summary
        >
        <div class="mt-2 grid gap-x-5 gap-y-4 sm:grid-cols-2">
          {#each fields(group) as [key, item] (key)}
            <ItemInput
              {item}
              name="{group}.{key}"
              value={valueOf(group, key)}
              units={session.units}
              draftKey="{session.engineId}:{group}.{key}"
              oncommit={(value) => session.fact(`${group}.${key}`, value)}
            />
          {/each}
        </div>
      </details>
    {/each}
    <a class="panel block p-3 hover:underline" href="/engines/{session.engineId}/card"
      ><h2 class="inline">The engine’s card</h2>
      <span class="ml-3 text-sm">Oils, plugs, part numbers, torque, the manual’s own values, each with its source.</span
      ></a
    >
  </div>
</div>
