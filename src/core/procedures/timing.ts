import { about, figures, manualFigure } from './about.ts';
import type { Figure, Procedure } from './procedure.ts';

/** Timing, standing and by the light (C: common practice; the maker’s manual stands above it). */
export const timing: Procedure = {
  id: 'timing',
  title: 'Timing, standing and by the light',
  means: 'Top found, marks proved, idle and full advance compared with the manual.',
  minutes: 40,
  jobs: ['advance'],
  hazards: ['flywheel', 'propeller', 'carbon-monoxide'],
  tools: ['dial gauge, or rod and calliper', 'timing light', 'white paint'],
  parts: [],
  wrong: [
    'A mark believed: a slipped hub or sheared key moves it.',
    'Full advance set by revving in neutral.',
    'Top guessed by eye: it is measured as the middle between two equal depths.'
  ],
  proof: { station: 'spark', text: 'timing at idle by the manual' },
  handOver: 'Where no manual value exists nothing is set: an engine is holed by a guess.',
  steps: (c) => {
    const m = manualFigure(c, 'spark.timing');
    return [
      { id: 'safe', text: 'Plugs out, leads grounded, propeller off.', careful: ['high-voltage', 'propeller'] },
      {
        id: 'top',
        text: 'Rod or dial gauge in cylinder 1, turned only its way: marked where the piston stands 5 mm before its top, and again 5 mm after it; the middle is top.',
        because:
          'A depth alone is flat at the top; the middle of two equal depths is sharp, and nothing is turned backward.',
        turns: { way: about(c).way, from: 'above' },
        items: ['turn.depth']
      },
      {
        id: 'mark',
        text: 'Does the wheel’s mark stand at that middle? If not: the key first.',
        items: ['spark.keyLook'],
        branch: [{ seen: 'Off', then: 'Key, hub, wrong wheel.', job: 'flywheel-key' }]
      },
      {
        id: 'static',
        text: 'Timer plate and linkage at idle and at full: stops where the manual has them, linkage without slack.'
      },
      {
        id: 'light',
        proves: true,
        text: 'Running on water, in gear, warm: idle timing by the light.',
        careful: ['carbon-monoxide', 'flywheel', 'propeller'],
        act: 'start',
        items: ['spark.timing', 'run.rpm'],
        ...figures(
          m &&
            ({
              label: 'Idle timing',
              dimension: 'timing',
              value: (m.low + m.high) / 2,
              low: m.low,
              high: m.high,
              because: `Manual${m.page ? `, page ${m.page}` : ''}.`
            } satisfies Figure)
        )
      },
      {
        id: 'full',
        text: 'Full advance at the speed and by the way the manual gives, some while cranking; else left alone.',
        careful: ['flywheel']
      },
      {
        id: 'lock',
        text: 'Screws locked, paint on them; what was found and what it is now written down.',
        items: ['run.remark']
      }
    ];
  }
};
