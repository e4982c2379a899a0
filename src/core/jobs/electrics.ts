import { only, type JobRule } from './job.ts';

/** Wires, starter and charging. */
export const electrics = {
  wiring: {
    title: 'Mend wires and connectors',
    raisedBy: ['look.wiring', 'spark.part-fuse', 'plugs.starter-fuse'],
    how: 'Stop wire first. Crimp and sleeve, no twisted joints; connectors opened, cleaned, protected.',
    tools: ['meter', 'crimp tool'],
    parts: ['wire', 'sleeve', 'fuse if blown'],
    minutes: 40,
    hazards: ['battery'],
    proof: { station: 'look', text: 'wiring whole', reads: ['look.wiring'] },
    after: ['nest'],
    opens: ['cowl'],
    daylight: true
  },
  battery: {
    title: 'Charge the battery, and load it',
    raisedBy: ['plugs.volts', 'plugs.battery'],
    how: 'Clamps bright and tight, charged whole, rested, then its volts while it cranks. Another good one meanwhile; a new one if it falls again.',
    tools: ['meter', 'charger', 'known good battery'],
    parts: ['battery, if it falls again'],
    minutes: 10,
    hazards: ['battery'],
    renews: ['plugs.volts'],
    proof: { station: 'plugs', text: 'holds its volts while it cranks', reads: ['plugs.volts'] }
  },
  starter: {
    title: 'Starter, cables and their circuit',
    raisedBy: [only('plugs.starter', 'watch', 'fault')],
    how: 'Battery under load first, then volts lost in each cable, solenoid, neutral switch and key; the motor last.',
    tools: ['meter', 'known good battery'],
    minutes: 40,
    hazards: ['battery', 'flywheel'],
    renews: [
      { item: 'run.noise', answers: ['flywheel'] },
      'plugs.starterCircuit',
      'plugs.starterDirect',
      'plugs.voltsEnd'
    ],
    proof: {
      station: 'plugs',
      text: 'turns well through its own circuit',
      reads: ['plugs.starterCircuit', 'plugs.starterDirect', 'plugs.volts'],
      wants: { 'plugs.starterCircuit': 'turns' }
    },
    opens: ['cowl']
  },
  'neutral-switch': {
    title: 'Set or renew the neutral switch or start lock',
    raisedBy: ['turn.start-lock'],
    how: 'Shift linkage right first: the switch follows it. Set so that it closes in neutral alone; bypassed for a meter only, never for use. A rope’s lock: its wire or pawl set the same.',
    tools: ['meter'],
    parts: ['neutral switch or lock'],
    minutes: 25,
    hazards: ['propeller', 'battery'],
    renews: ['turn.startLock'],
    proof: { station: 'turn', text: 'in gear the starter does nothing', reads: ['turn.startLock'] },
    after: ['linkage', 'shift-joint'],
    opens: ['cowl']
  },
  pinion: {
    title: 'Free the starter’s pinion, clean and grease it',
    raisedBy: ['turn.locked-pinion', 'turn.pinion'],
    renews: [{ item: 'run.noise', answers: ['flywheel'] }, 'turn.lockPinion'],
    how: 'Pulled back out of the ring by hand, battery off; shaft and helix cleaned, a little grease; its spring looked at. Ring teeth too.',
    tools: ['brush'],
    parts: ['pinion spring or drive as found'],
    minutes: 20,
    hazards: ['flywheel', 'battery'],
    proof: { station: 'turn', text: 'it turns by hand, the pinion rests clear of the ring', reads: ['turn.result'] },
    opens: ['cowl']
  },
  charging: {
    title: 'Charging circuit, from the battery to the stator',
    raisedBy: ['run.undercharge', 'run.overcharge'],
    renews: ['run.volts'],
    how: 'Battery and connections first, then its fuse, regulator and ground, rectifier, the coils last: each measured before it is renewed. Too much: the regulator and its ground.',
    tools: ['meter'],
    parts: ['what the meter condemns'],
    minutes: 50,
    hazards: ['battery', 'flywheel'],
    proof: { station: 'run', text: '13 to 15 V at the battery at 1500 rpm and over', reads: ['run.volts'] },
    opens: ['cowl'],
    uses: ['tank'],
    phase: 'running'
  },
  rope: {
    title: 'Mend the rope starter',
    raisedBy: ['plugs.rope'],
    renews: ['plugs.rope'],
    how: 'Spring held down, hands clear; rope, dog and pawl spring as found.',
    parts: ['rope, spring or dog'],
    minutes: 35,
    hazards: ['eyes'],
    proof: { station: 'plugs', text: 'catches and returns', reads: ['plugs.rope'] },
    opens: ['cowl']
  }
} as const satisfies Readonly<Record<string, JobRule>>;
