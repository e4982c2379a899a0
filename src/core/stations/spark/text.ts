import type { StationText } from '../text.ts';

export const text: StationText = {
  title: 'Spark',
  short: 'Spark',
  minutes: 5,
  how: [
    'Lanyard in, switch to run. Tester to clean metal, one cylinder at a time, in shade.',
    'Every other lead grounded; coil on plug: unplug the primaries and stop the injectors instead.',
    'Note the cranking speed: some electronic ignitions give nothing below a minimum.'
  ],
  hazards: ['high-voltage', 'vapour', 'flywheel']
};
