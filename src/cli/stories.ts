import { stories, told } from '../../demo/stories.ts';
import { assess } from '../core/assess.ts';
import { conditions } from '../core/findings/finding.ts';
import { options } from '../core/record/options.ts';
import { decide } from '../core/decision/decide.ts';

/** Checks whose findings a story is about; the rest would only repeat itself. */
const about: Readonly<Record<string, readonly string[]>> = {
  wet: ['compression'],
  adapter: ['compression'],
  bolt: ['spark'],
  battery: ['compression'],
  lanyard: ['spark'],
  'cold-head': ['cooling', 'run'],
  depths: ['turn'],
  'case-test': ['gear']
};

/** The stories with what is said at each of their stages: `docs/stories.md`. */
export function storiesSaid(): string {
  const out = [
    '# Eight short stories',
    '',
    'Written by `npm run docs` from `demo/stories.ts`: readings that are easily taken for the truth, entered stage by stage, and what is',
    'said at each. The survey after the last stage of each lies in `examples/stories/`; `npm run assess -- docs/examples/stories/wet.json`',
    'says all of it. Everything in them is made up.',
    ''
  ];
  for (const story of stories) {
    out.push(`## ${story.title}`, '');
    story.stages.forEach((stage, k) => {
      const survey = told(story, k + 1);
      const a = assess(survey, new Date(survey.readings.at(-1)!.at), 'us');
      const holds = a.holds.filter((h) => !h.standing).map((h) => h.title);
      const said = a.findings.filter((f) => about[story.id]!.includes(f.station));
      const moves = a.moves.filter((m) => !m.waits).slice(0, 2);
      out.push(`**${stage.entered}**`, '');
      for (const f of said) out.push(`- ${conditions[f.condition]}: ${f.sentence}`);
      if (holds.length) out.push(`- held: ${holds.join('; ')}`);
      out.push(
        `- now: ${moves.map((m) => m.title).join('; then ')}`,
        `- decision: ${options[decide(a, 400).recommended].label.toLowerCase()}`,
        ''
      );
    });
  }
  return out.join('\n');
}
