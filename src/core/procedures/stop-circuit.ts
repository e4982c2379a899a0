import { ignitionHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** No spark anywhere: the stop circuit first (C: common practice; the maker’s manual stands above it). */
export const stopCircuit: Procedure = {
  id: 'stop-circuit',
  title: 'No spark anywhere: the stop circuit first',
  means: 'Lanyard, switch, wire; then the box’s feed; then charge coil and trigger by their figures.',
  minutes: 35,
  jobs: ['stop-circuit', 'spark-common', 'ground'],
  hazards: ['high-voltage', 'vapour', 'flywheel'],
  tools: ['spark tester', 'meter', 'jumper to bright metal'],
  parts: ['lanyard or switch, as found'],
  wrong: [
    'Left with the stop wire off: an engine that cannot be stopped.',
    'Judged by a slow hand: electronic boxes want speed.',
    'A box ordered before ground and feed were measured.'
  ],
  proof: { station: 'spark', text: 'spark with the stop circuit joined, and none with the lanyard out' },
  handOver: ignitionHandOver,
  steps: (c) => [
    {
      id: 'lanyard',
      act: 'crank',
      text: 'Lanyard in, key or switch on run, lever where it lets it: spark now?',
      items: ['spark.lanyard', 'spark.result'],
      careful: ['high-voltage']
    },
    {
      id: 'speed',
      act: 'crank',
      text: 'Cranked briskly, plugs out: by volts and turns, not by ear.',
      items: ['spark.brisk', 'plugs.rpm'],
      careful: ['flywheel', 'vapour'],
      branch: [{ seen: 'Slow', then: 'Battery and starter first.', job: 'starter' }]
    },
    {
      id: 'wire',
      act: 'crank',
      text: 'Stop wire off at the box, its end taped, nobody near the propeller: spark now?',
      careful: ['propeller', 'high-voltage'],
      items: ['spark.stopWire'],
      branch: [
        { seen: 'Spark', then: 'Switch, lanyard or its wire: followed by the meter, each joint.' },
        { seen: 'None still', then: 'On to ground and feed.' }
      ]
    },
    {
      id: 'ground',
      text: 'A jumper from the box’s ground to bright metal of the block: spark now?',
      tools: ['jumper to bright metal'],
      items: ['spark.groundWire'],
      branch: [{ seen: 'Spark', then: 'Ground joint cleaned, tooth washer, grease.', job: 'ground' }]
    },
    {
      id: 'feed',
      text: 'What feeds the box: battery voltage where it wants one, else charge coil by its resistance and output.',
      items: ['spark.supply', 'spark.charge', 'spark.chargeTest']
    },
    {
      id: 'trigger',
      text: 'Trigger or sensor: resistance, gap, its plug’s pins.',
      items: ['spark.trigger', 'spark.triggerTest']
    },
    {
      id: 'box',
      text: 'All of these good, and only then: the box, by one of known goodness.',
      items: ['spark.packSwap'],
      because: 'It is the dearest and the one that cannot be given back.'
    },
    {
      id: 'rejoin',
      act: 'crank',
      text: 'Stop wire joined again; lanyard pulled while cranking: the spark must go.',
      careful: ['high-voltage'],
      items: ['spark.result'],
      because: `Proved both ways${c.survey.engine.profile.steering === 'remote' ? ', at the helm too' : ''}.`
    }
  ]
};
