import type { Context } from '../../findings/context.ts';
import type { Finding } from '../../findings/finding.ts';
import { findingsOf, practice } from '../../findings/collect.ts';

/** Whether hands are safe near it, and whether it may run where it stands. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('safe');
  const { record } = c;
  const direct = c.survey.engine.profile.shift === 'direct';
  const lanyard = record.value('safe.lanyard');
  const propeller = record.value('safe.propeller');
  const battery = record.value('safe.battery');
  const secured = record.value('safe.secured');
  const open: string[] = [];
  if (lanyard === 'in') open.push('pull the stop lanyard');
  if (battery === 'on') open.push('take the battery off');
  if (propeller === 'fouled') open.push(direct ? 'take the propeller off' : 'clear the propeller');
  if (secured === 'no') open.push('secure the stand and lock the leg');
  if (direct && propeller === 'clear') open.push('take the propeller off: direct drive turns it with every pull');
  const said = [
    lanyard && `stop lanyard: ${lanyard}`,
    battery && `battery: ${battery}`,
    propeller && `propeller: ${propeller}`,
    secured && `stand and leg: ${secured}`
  ].filter(Boolean) as string[];
  if (open.length)
    out.add(
      'open',
      'watch',
      `Before a hand goes near it: ${open.join('; ')}.`,
      practice(said, 'an engine is made safe before it is touched.')
    );
  else if (said.length >= 3)
    out.add(
      'made',
      'sound',
      'It is safe to work on.',
      practice(said, 'lanyard, battery, propeller and stand are seen to first.')
    );

  const place = record.value('safe.place');
  if (place === 'indoors')
    out.add('indoors', 'held', 'It may not be run indoors: move it outdoors and record the place.', {
      inputs: ['where it will run: indoors'],
      limit: 'carbon monoxide ceiling 200 ppm, immediately dangerous at 1200 ppm',
      formula:
        'c = G/(V·n)·(1 − e^(−n·t)); 500 g/h in 100 m³ with one air change an hour passes 200 ppm within three minutes',
      provenance: 'P',
      source:
        'NIOSH Pocket Guide to Chemical Hazards, carbon monoxide; emission of a small engine at idle from memory (M)'
    });
  return out.list;
}
