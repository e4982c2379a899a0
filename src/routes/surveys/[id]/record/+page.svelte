<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import type { Report } from '$core/report/report.ts';
  import FigureView from '$lib/ui/record/FigureView.svelte';
  import BeforeAfterTable from '$lib/ui/survey/BeforeAfterTable.svelte';

  import { namedPhotos } from '$core/survey/photos-of.ts';
  import { useSession } from '$lib/ui/session/session.svelte.ts';
  import { page } from '$app/state';

  let { data } = $props();
  const r = $derived(JSON.parse(data.report) as Report);
  const session = $derived(useSession());
  /** As they stand now: what was signed names them by their hash. */
  const photos = $derived(namedPhotos(session.survey));
  const readings = $derived(
    [...new Set(r.readings.map((x) => x.station))].map(
      (check) => [check, r.readings.filter((x) => x.station === check)] as const
    )
  );
  /** What is folded on the screen is printed. */
  const openToPrint = (node: HTMLDetailsElement): (() => void) => {
    let was = false;
    const before = (): void => {
      was = node.open;
      node.open = true;
    };
    const after = (): void => void (node.open = was);
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  };
  const parts = $derived([
    ['What was found', r.owner.found],
    ['What was done', r.owner.done],
    ['What is left', r.owner.left],
    ['What comes next', r.owner.next]
  ] as const);
</script>

<svelte:head><title>Record · {r.tag} · Indaga</title></svelte:head>

<div class="no-print mb-3 flex flex-wrap gap-2">
  <a class="btn btn-primary" href="/surveys/{page.params.id}/record.pdf">PDF</a>
  <button type="button" class="btn btn-outline btn-primary" onclick={() => window.print()}>Print</button>
  <a class="btn btn-outline btn-primary" href="/engines/{data.session.engineId}/tag">Tag for the engine</a>
</div>
<article class="mx-auto max-w-4xl space-y-5 print:max-w-none print:space-y-3">
  <section aria-labelledby="owner-title" class="panel p-5">
    <h2 id="owner-title" class="text-2xl">For the owner</h2>
    <p class="mt-1 text-lg">{r.owner.greeting}</p>
    <div class="mt-3 grid gap-4 sm:grid-cols-2">
      {#each parts as [title, list] (title)}<div>
          <h3>{title}</h3>
          <ul class="list-disc pl-5">
            {#each list as line (line)}<li class="break-words">{line}</li>{/each}
          </ul>
        </div>{/each}
    </div>
  </section>
  <section class="page-break">
    <h2 class="text-2xl">Record of the assessment</h2>
    {#if data.release}
      <p>
        Ready for service, signed by <strong>{data.release.signedBy}</strong> on {sayDate(
          data.release.at,
          'd MMMM yyyy, HH:mm'
        )}.
      </p>
      <p class="text-sm break-all">SHA-256 of the record: <span class="font-mono">{data.release.hash}</span></p>
      {#if data.release.chain}<p class="text-sm break-all">
          Record {data.release.seq}; its link in the chain of all records:
          <span class="font-mono">{data.release.chain}</span>
        </p>{/if}
      {#if data.code}<img
          src="data:image/svg+xml;utf8,{encodeURIComponent(data.code)}"
          alt="Square code with the record’s hash and link"
          width="160"
          height="160"
          class="mt-2 bg-white"
        />{/if}
    {:else}<p class="font-semibold text-warning">Preview: not signed. This is how it stands now.</p>{/if}
  </section>
  <section>
    <h3 class="mb-1">Engine</h3>
    <dl class="grid grid-cols-1 gap-x-6 sm:grid-cols-2 print:grid-cols-3 print:text-[8pt] print:leading-tight">
      {#each r.engine as [label, value] (label)}<div class="flex justify-between gap-3 border-b border-line py-0.5">
          <dt>{label}</dt>
          <dd class="text-right font-medium break-words">{value}</dd>
        </div>{/each}
    </dl>
  </section>
  {#if r.decisions?.length}
    <section>
      <h3>Decided</h3>
      <ul class="list-disc pl-5">
        {#each r.decisions as d (d.at)}<li>
            <strong>{d.title}</strong>, {sayDate(d.at, 'd MMM yyyy')}{d.by ? `, ${d.by}` : ''}: {d.reason}
          </li>{/each}
      </ul>
    </section>
  {/if}
  {#if r.overrides.length}
    <section class="border-2 border-hold p-3">
      <h3 class="text-hold">Holds that were overridden</h3>
      <ul>
        {#each r.overrides as o (o.title)}<li>
            <strong>{o.title}</strong>: {o.reason}{o.by ? ` (${o.by})` : ''}
          </li>{/each}
      </ul>
    </section>
  {/if}
  <section>
    <h3 class="mb-1">Gates</h3>
    <ul class="print:columns-2 print:text-[8pt] print:leading-tight">
      {#each r.gates as g (g.title)}<li class="break-inside-avoid border-b border-line py-1 print:py-0.5">
          <strong>{g.title}: {g.word}.</strong>
          {g.sentence}{#if g.reason}
            <em>Left open because: {g.reason}</em>{/if}
        </li>{/each}
    </ul>
  </section>
  {#each r.figures ?? [] as figure (figure.title)}<section><FigureView {figure} /></section>{/each}
  {#if r.beforeAfter.length}<section>
      <h3 class="mb-1">Before and after</h3>
      <BeforeAfterTable rows={r.beforeAfter} />
    </section>{/if}
  <section>
    <h3 class="mb-1">Findings</h3>
    <ul class="print:columns-2 print:text-[8pt] print:leading-tight">
      {#each r.findings as f, k (k)}<li class="break-inside-avoid border-b border-line py-1 print:py-0.5">
          <span class="label-caps">{f.station}, {f.word}</span>
          {f.sentence}{#if f.limit}
            <span class="text-sm">Judged against {f.limit}.</span>{/if}
        </li>{/each}
    </ul>
  </section>
  {#if r.jobs.length}<section>
      <h3 class="mb-1">Jobs</h3>
      <ul>
        {#each r.jobs as job (job.title)}<li class="border-b border-line py-1">
            {job.title}: {job.state}{job.note ? `. ${job.note}` : ''}
          </li>{/each}
      </ul>
    </section>{/if}
  {#if r.tray?.length}<section>
      <h3 class="mb-1">What came off, in order</h3>
      <ol class="list-decimal pl-6">
        {#each r.tray as t, k (k)}<li>{t.part}: {t.state}{t.note ? ` (${t.note})` : ''}</li>{/each}
      </ol>
    </section>{/if}
  {#if photos.length}<section>
      <h3 class="mb-1">Photographs</h3>
      <ul class="grid grid-cols-2 gap-3 sm:grid-cols-4">
        {#each photos as p (`${p.photo}${p.at}`)}
          <li class="break-inside-avoid">
            <a href="/photos/{p.photo}"
              ><img
                src="/photos/{p.photo}?size=thumb"
                alt="{p.label}, {sayDate(p.at, 'd MMM HH:mm')}"
                class="aspect-[4/3] w-full border border-line object-cover"
                loading="lazy"
              /></a
            >
            <p class="text-sm">{p.label}, {sayDate(p.at, 'd MMM HH:mm')}</p>
          </li>
        {/each}
      </ul>
    </section>{/if}
  <section>
    <h3 class="mb-1">Readings</h3>
    {#each readings as [check, list] (check)}
      <details class="border-t border-line" {@attach openToPrint}>
        <summary class="flex min-h-11 cursor-pointer items-center gap-3 print:min-h-0"
          ><strong class="font-label">{check}</strong>
          <span class="text-sm">{list.length} {list.length === 1 ? 'reading' : 'readings'}</span></summary
        >
        <ul class="columns-1 gap-x-6 pb-2 text-sm sm:columns-2 print:text-[7.5pt] print:leading-tight">
          {#each list as x, k (k)}<li class="flex break-inside-avoid gap-2 border-b border-line py-0.5">
              <span class="min-w-0 flex-1">{x.label}{x.with ? ` (${x.with})` : ''}</span>
              <span class="max-w-[50%] font-medium break-words">{x.value}</span>
              <span class="w-24 shrink-0 text-right">{sayDate(x.at, 'd MMM HH:mm')}{x.by ? `, ${x.by}` : ''}</span>
            </li>{/each}
        </ul>
      </details>
    {/each}
    {#if r.superseded}<p class="mt-1 text-sm">
        {r.superseded} readings were corrected or taken back; they stay in the survey file.
      </p>{/if}
  </section>
</article>
