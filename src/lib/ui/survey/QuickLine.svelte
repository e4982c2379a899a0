<script lang="ts">
  import { cylinderCount } from '$core/engine/profile.ts';
  import { refusal } from '$core/holds/against.ts';
  import type { parseQuickLine } from '$core/survey/quick-line.ts';
  import { stationOf } from '$core/stations/items.ts';
  import type { Instrument } from '$core/record/reading.ts';
  import { useSession } from '../session/session.svelte.ts';

  /** One line for a whole check, parsed as it is typed. */
  let {
    instrument = () => undefined,
    example = 'comp 1 98 2 74 w2 101',
    says = 'A whole check in one line: comp or spark, then cylinder and reading; pulls as 1 60/80/94, wet as w2 101 5mL.'
  }: { example?: string; says?: string; instrument?: () => Instrument | undefined } = $props();
  const session = useSession();
  let line = $state('');
  let said = $state('');
  /** What reads the line; fetched when somebody goes to it. */
  let parse = $state.raw<typeof parseQuickLine>();
  const fetchParser = async (): Promise<void> => {
    parse ??= (await import('$core/survey/quick-line.ts')).parseQuickLine;
  };
  const parsed = $derived(
    line.trim() ? parse?.(line, cylinderCount(session.survey.engine.profile), session.units) : undefined
  );

  async function record(e: SubmitEvent): Promise<void> {
    e.preventDefault();
    await fetchParser();
    if (!parsed?.ok) return;
    const held = parsed.entries.map((x) => refusal(session.judgement.holds, x.what)).find(Boolean);
    if (held) return void (said = held);
    for (const entry of parsed.entries) {
      const pressure = entry.what.startsWith('compression.');
      const gauge = pressure ? instrument() : undefined;
      session.read(entry.what, entry.value, {
        ...(entry.cylinder === undefined ? {} : { cylinder: entry.cylinder }),
        typed: entry.typed,
        conditions: {
          ...session.conditionsOf(stationOf(entry.what)),
          ...entry.conditions
        },
        ...(gauge ? { instrument: gauge } : {})
      });
    }
    said = `Recorded: ${parsed.entries.map((x) => x.says).join('; ')}.`;
    line = '';
  }
</script>

<form onsubmit={record} class="panel p-2">
  <label class="flex flex-wrap items-center gap-2">
    <span class="label-caps">Quick line <kbd class="font-label">/</kbd></span>
    <input
      id="quick-line"
      class="input w-full min-w-0 flex-1 basis-56 font-mono"
      placeholder={example}
      bind:value={line}
      onfocus={fetchParser}
      oninput={fetchParser}
      autocomplete="off"
      spellcheck="false"
      aria-describedby="quick-says"
      aria-invalid={parsed && !parsed.ok ? 'true' : undefined}
    />
  </label>
  <p id="quick-says" class="min-h-6 px-1 pt-1 text-sm" aria-live="polite">
    {#if parsed?.ok}Enter records {parsed.entries.map((x) => x.says).join('; ')}
    {:else if parsed}<span class="font-mono whitespace-pre">{line.slice(0, parsed.at)}</span><span
        class="bg-error px-0.5 font-mono whitespace-pre text-error-content"
        >{line.slice(parsed.at, parsed.at + 1) || ' '}</span
      > <span class="text-error">{parsed.message}</span>
    {:else}{said || says}{/if}
  </p>
</form>
