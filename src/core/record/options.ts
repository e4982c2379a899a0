/** What can be done with an engine. */
export const options = {
  service: {
    label: 'Service and release',
    means: 'Nothing asks for repair: service items, the gates, back to the owner.'
  },
  repair: { label: 'Repair these', means: 'The job list as it stands.' },
  'repair-under': { label: 'Repair if it stays under a sum', means: 'Begin; stop and ask when the sum is reached.' },
  specialist: { label: 'Specialist', means: 'A price from somebody with the tools, before more money goes in.' },
  parts: { label: 'Keep for parts', means: 'Worth more in pieces.' },
  hold: { label: 'Not known enough yet', means: 'What decides has not been looked at; nothing is ordered before it.' }
} as const;
export type OptionId = keyof typeof options;
export const optionIds = Object.keys(options) as OptionId[];
