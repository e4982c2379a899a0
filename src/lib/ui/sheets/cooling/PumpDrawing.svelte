<script lang="ts">
  import { known } from '$core/engine/profile.ts';
  import { useSession } from '../../session/session.svelte.ts';

  /** The impeller as it came out: tap a vane to say that it is cracked, then that it is missing; bent as far as it is set. */
  const session = useSession();
  const at = (what: 'cooling.vanes' | 'cooling.cracked' | 'cooling.missing' | 'cooling.set'): number | undefined =>
    known(session.record.value(what) as number | undefined);
  const n = $derived(Math.round(Math.min(12, Math.max(3, at('cooling.vanes') ?? 6))));
  const missing = $derived(Math.min(n, at('cooling.missing') ?? 0));
  const cracked = $derived(Math.min(n - missing, at('cooling.cracked') ?? 0));
  const set = $derived(Math.min(80, at('cooling.set') ?? 0));
  const opened = $derived(session.record.value('cooling.opened') === 'yes');
  const stateOf = (k: number): 'missing' | 'cracked' | 'good' =>
    k < missing ? 'missing' : k < missing + cracked ? 'cracked' : 'good';
  const sense = $derived(session.survey.engine.profile.turning === 'anticlockwise' ? 1 : -1);

  function tap(k: number): void {
    const s = stateOf(k);
    if (s === 'good') session.read('cooling.cracked', cracked + 1);
    else if (s === 'cracked') {
      session.read('cooling.cracked', cracked - 1);
      session.read('cooling.missing', missing + 1);
    } else session.read('cooling.missing', missing - 1);
    if (!opened) session.read('cooling.opened', 'yes');
  }
  const vane = (k: number): string => {
    const a = (2 * Math.PI * k) / n - Math.PI / 2;
    const bend = ((sense * set) / 180) * Math.PI;
    const [x0, y0] = [100 + 26 * Math.cos(a), 100 + 26 * Math.sin(a)];
    const [x1, y1] = [100 + 52 * Math.cos(a + bend * 0.25), 100 + 52 * Math.sin(a + bend * 0.25)];
    const [x2, y2] = [x1 + 28 * Math.cos(a + bend), y1 + 28 * Math.sin(a + bend)];
    return `M${x0} ${y0}Q${x1} ${y1} ${x2} ${y2}`;
  };
  const place = (k: number): [number, number] => {
    const a = (2 * Math.PI * k) / n - Math.PI / 2;
    return [100 + 62 * Math.cos(a), 100 + 62 * Math.sin(a)];
  };
</script>

<div class="flex flex-wrap items-center gap-4">
  <div class="relative h-60 w-60 shrink-0">
    <svg
      viewBox="0 0 200 200"
      class="h-full w-full"
      role="img"
      aria-label="Impeller with {n} vanes: {missing} missing, {cracked} cracked, set {Math.round(set)} degrees"
    >
      <circle cx="100" cy="100" r="90" fill="none" stroke="var(--color-line)" stroke-width="6" />
      <circle
        cx="100"
        cy="100"
        r="26"
        fill="var(--color-base-200)"
        stroke="var(--color-base-content)"
        stroke-width="2"
      />
      <path d="M94 76h12v12h-12Z" fill="var(--color-base-content)" />
      {#each Array.from({ length: n }, (_, k) => k) as k (k)}
        {@const s = stateOf(k)}
        <path
          d={vane(k)}
          fill="none"
          stroke={s === 'good' ? 'var(--color-base-content)' : 'var(--color-error)'}
          stroke-width={s === 'missing' ? 2 : 9}
          stroke-dasharray={s === 'missing' ? '3 5' : s === 'cracked' ? '30 4 60' : undefined}
          stroke-linecap="butt"
        />
      {/each}
    </svg>
    {#each Array.from({ length: n }, (_, k) => k) as k (k)}
      {@const [x, y] = place(k)}
      <button
        type="button"
        class="absolute h-11 w-11 -translate-x-1/2 -translate-y-1/2 rounded-full"
        style:left="{x / 2}%"
        style:top="{y / 2}%"
        aria-label="Vane {k + 1}: {stateOf(k)}"
        onclick={() => tap(k)}
      ></button>
    {/each}
  </div>
  <p class="min-w-40 flex-1 text-sm">
    Tap a vane: cracked, tap again: missing, once more: good. Missing vanes went downstream and are looked for. The bend
    drawn is the set entered below; a vane that lies flat over about 20° no longer seals at idle.
  </p>
</div>
