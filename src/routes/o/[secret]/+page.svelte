<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import { page } from '$app/state';
  import OutingForm from '$lib/ui/care/OutingForm.svelte';

  let { data, form } = $props();
  const errors = $derived((form && 'errors' in form ? form.errors : {}) as Record<string, string>);
  const typed = $derived((form && 'typed' in form ? form.typed : {}) as Record<string, string>);
  const parts = $derived(
    data.signed
      ? ([
          ['What was found', data.signed.owner.found],
          ['What was done', data.signed.owner.done],
          ['What is left', data.signed.owner.left],
          ['What comes next', data.signed.owner.next]
        ] as const)
      : []
  );
  const lists = $derived([
    ['overdue', 'Overdue today', data.due.filter((d) => d.state === 'overdue')],
    ['due', 'What it asks for next', data.due.filter((d) => d.state !== 'overdue')]
  ] as const);
</script>

<svelte:head><title>{data.tag} · Indaga</title></svelte:head>

<article class="mx-auto max-w-3xl">
  <h1 dir="auto">{data.tag}</h1>
  <p>{data.name}{data.serial ? `, serial ${data.serial}` : ''}</p>
  {#if data.signed}
    <section class="panel mt-3 p-4" aria-labelledby="signed">
      <h2 id="signed">Ready for service, {sayDate(data.signed.at, 'd MMMM yyyy')}</h2>
      <p>Signed by {data.signed.by}. {data.signed.owner.greeting}</p>
      <div class="mt-3 grid gap-4 sm:grid-cols-2">
        {#each parts as [title, list] (title)}<div>
            <h3>{title}</h3>
            <ul class="list-disc pl-5">
              {#each list as line, k (k)}<li class="break-words">{line}</li>{/each}
            </ul>
          </div>{/each}
      </div>
      <p class="mt-3">
        <a class="btn btn-primary" href="/o/{page.params.secret}/record.pdf">The whole record (PDF)</a>
      </p>
      <p class="mt-2 text-sm break-all">SHA-256 of the record: <span class="font-mono">{data.signed.hash}</span></p>
    </section>
  {:else}
    <p class="panel mt-3 p-4">Nothing is signed yet: the yard is at work on it, or waits for your word.</p>
  {/if}
  {#each lists as [id, title, list] (id)}
    {#if list.length}
      <section class="mt-4" aria-labelledby={id}>
        <h2 {id}>{title}</h2>
        <ul>
          {#each list as d (d.id)}<li class="border-t border-line py-1.5">
              <strong>{d.title}</strong>{d.day
                ? `, ${id === 'overdue' ? 'since' : 'by'} ${sayDate(d.day, 'd MMM yyyy')}`
                : ''}{d.atHours === undefined ? '' : ` or at ${Math.round(d.atHours)} engine hours`}
              <span class="block text-sm">{d.because}</span>
            </li>{/each}
        </ul>
      </section>
    {/if}
  {/each}
  <p class="mt-3"><a class="link tap" href="/o/{page.params.secret}/year">The year on one page, to keep or print</a></p>
  {#if data.due.some((d) => d.day)}
    <p class="mt-3 text-sm">
      In your own calendar: subscribe to
      <a class="link" href="/o/{page.params.secret}/care.ics">this address</a>; it keeps itself up to date.
    </p>
  {/if}
  {#if data.log}
    <section class="mt-4 space-y-2" aria-label="Outings">
      {#if data.log.stage}<p><strong>Break-in, at the next outing:</strong> {data.log.stage}</p>{/if}
      {#if data.log.oil}<p>{data.log.oil.sentence} <strong>{data.log.oil.advice}</strong></p>{/if}
      {#if form && 'kept' in form}<p class="font-semibold text-success" role="status">
          Kept. The yard sees it too.
        </p>{/if}
      {#key data.entry}<OutingForm name={data.entry} four={data.log.four} action="?/log" {errors} {typed} />{/key}
      {#if data.log.last.length}
        <p class="text-sm">
          Last: {data.log.last
            .toReversed()
            .map((o) => `${sayDate(o.on, 'd MMM')}${o.hours === undefined ? '' : ` ${o.hours.toFixed(1)} h`}`)
            .join(', ')}.
        </p>
      {/if}
    </section>
  {/if}
  <p class="mt-4 text-sm">The maker’s manual and local rules stand above this page.</p>
</article>
