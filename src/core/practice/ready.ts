import type { CaseKind } from '../engine/case-kind.ts';
import type { AdviceMode, Setup } from './exercise.ts';

/** An exercise that is there from the beginning, with what it is there to teach. */
export interface ReadyExercise {
  readonly id: string;
  readonly title: string;
  /** What the owner says. */
  readonly told: string;
  readonly engine: string;
  readonly kind: CaseKind;
  /** Suspects that are truly there, wrong measurements among them. */
  readonly faults: readonly string[];
  readonly advice: AdviceMode;
  /** Said in the debrief only. */
  readonly teaches: string;
}

/** In rising difficulty. */
export const readyExercises = [
  {
    id: 'jar',
    title: 'Last year’s tank',
    told: 'A small single out of a shed. “It ran when I put it away.”',
    engine: 'small-single',
    kind: 'long-stored',
    faults: ['fuel-water'],
    advice: 'open',
    teaches:
      'Fuel into a clear jar takes four minutes and settles what an hour at the carburettor only guesses at. Drain before it is cranked.'
  },
  {
    id: 'lead',
    title: 'One of two',
    told: 'A twin that shakes at idle and is weak in the mornings.',
    engine: 'barn-twin',
    kind: 'neglected',
    faults: ['lead.1'],
    advice: 'open',
    teaches:
      'Tester, then bolt, then a swap of what costs least: the dead cylinder tells by moving or staying. A lead is looked at before a coil is bought.'
  },
  {
    id: 'lanyard',
    title: 'Nothing anywhere',
    told: 'No spark at either plug. “The box is gone, they say.”',
    engine: 'barn-twin',
    kind: 'spring-return',
    faults: ['lanyard'],
    advice: 'open',
    teaches:
      'No spark on every cylinder is a switch before it is a box: lanyard in, switch on run, then spark again. It costs a minute.'
  },
  {
    id: 'throttle',
    title: 'Low all over',
    told: 'Somebody measured compression and called it worn out.',
    engine: 'injected-triple',
    kind: 'neglected',
    faults: ['throttle'],
    advice: 'on-demand',
    teaches:
      'Alike and low is how it was measured before it is how it is worn: throttle open, battery sound, bores not washed dry. Repeat before you believe.'
  },
  {
    id: 'vent',
    title: 'Ten minutes, then it dies',
    told: 'Runs well, dies after minutes, starts again after a rest.',
    engine: 'points-twin',
    kind: 'spring-return',
    faults: ['vent'],
    advice: 'on-demand',
    teaches:
      'Dying after minutes is fuel that cannot follow: vent first (a minute), bulb, line vacuum, then another tank. The pump comes last.'
  },
  {
    id: 'points',
    title: 'Years in the loft',
    told: 'Nine years in a loft. It will not fire.',
    engine: 'small-single',
    kind: 'long-stored',
    faults: ['points-dirty'],
    advice: 'on-demand',
    teaches: 'Points that stood grow a skin. Look at them and draw a card through before coil or condenser is doubted.'
  },
  {
    id: 'swamped',
    title: 'Up with the tide',
    told: 'It hung on a dinghy that was swamped in the night. “Spray it and give it a pull.”',
    engine: 'four-stroke-twin',
    kind: 'drowned',
    faults: ['liquid', 'fuel-water'],
    advice: 'on-demand',
    teaches:
      'Water does not compress: plugs out and turned by hand before anything else, the sump changed before it spins, oil through the bores until nothing but oil comes. Each hour in air costs more than any of these steps.'
  },
  {
    id: 'lash',
    title: 'One weak cylinder',
    told: 'A four-stroke twin, one cylinder low. A head gasket was quoted.',
    engine: 'four-stroke-twin',
    kind: 'neglected',
    faults: ['lash-closed.2'],
    advice: 'on-demand',
    teaches:
      'Lash before leak-down before the head: a valve without lash reads like a leaking one and costs a feeler gauge.'
  },
  {
    id: 'gasket',
    title: 'Two neighbours',
    told: 'A six that lost its top speed from one trip to the next.',
    engine: 'vee-six',
    kind: 'neglected',
    faults: ['head-gasket.3-5'],
    advice: 'on-demand',
    teaches:
      'Two low cylinders that adjoin point between them. Leak-down says where the air goes before a bolt is turned.'
  },
  {
    id: 'seal',
    title: 'A little milk',
    told: 'The gear oil came out grey, a little short.',
    engine: 'injected-triple',
    kind: 'spring-return',
    faults: ['seal-driveshaft'],
    advice: 'on-demand',
    teaches:
      'A case is judged stage by stage: low pressure finds the lip, high the washers, vacuum the way water sees it. Where it bubbles decides what is opened.'
  },
  {
    id: 'adapter',
    title: 'The long hose',
    told: 'Compression is down on both, one more than the other.',
    engine: 'barn-twin',
    kind: 'neglected',
    faults: ['adapter', 'rings-stuck.2'],
    advice: 'shut',
    teaches:
      'Two things at once: the adapter takes its share from every cylinder alike, the rings from one. Take the instrument out of the reading first.'
  },
  {
    id: 'warm',
    title: 'Hot at the quay',
    told: 'The lamp came on twice last season. Strong stream, they say.',
    engine: 'four-stroke-twin',
    kind: 'spring-return',
    faults: ['thermostat-shut', 'other-spot'],
    advice: 'shut',
    teaches:
      'A strong stream clears the pump and not the thermostat. The same spot with the same thermometer, then the pan, before anything is renewed.'
  },
  {
    id: 'many',
    title: 'The whole list',
    told: 'Bought unseen. “Ran last year.”',
    engine: 'vee-six',
    kind: 'neglected',
    faults: ['impeller', 'air-leak', 'anodes', 'tiring'],
    advice: 'shut',
    teaches:
      'Several faults, and a battery that tires through the test. Hold to the order: what is doubted first, what is dangerous before all, service last.'
  }
] as const satisfies readonly ReadyExercise[];
const byId: ReadonlyMap<string, ReadyExercise> = new Map(readyExercises.map((e) => [e.id, e]));
/** A ready exercise by its id; nothing for a name that is none. */
export const readyExercise = (id: string): ReadyExercise | undefined => byId.get(id);

export const setupOfReady = (e: ReadyExercise): Setup => ({
  seed: `ready ${e.id}`,
  wishes: { engine: e.engine, kind: e.kind, only: e.faults, leaks: false },
  advice: e.advice
});
