import { school, schoolSaid } from '../house-rules/rules.ts';
import { about } from './about.ts';
import { coolingHandOver } from './hand-over.ts';
import type { Procedure, ProcedureStep } from './procedure.ts';

/** Flushing with fresh water (C: common practice; the maker’s manual stands above it). */
export const flush: Procedure = {
  id: 'flush',
  title: 'Flushed with fresh water',
  means: 'After salt, silt or standing: running on water, or by its port standing still.',
  minutes: 15,
  jobs: [],
  hazards: ['carbon-monoxide', 'propeller', 'hot'],
  tools: ['muffs or tank', 'hose'],
  parts: [],
  wrong: [
    'Started on the flushing port: it feeds the jacket and leaves the pump dry.',
    'Muffs slipped and nobody looked: the vanes are gone in half a minute.',
    'Flushed cold: the thermostat is shut and half of it stays salt.'
  ],
  proof: { station: 'cooling', text: 'stream steady to the end; the head warm enough that the thermostat opened' },
  handOver: coolingHandOver,
  steps: (c) => {
    const a = about(c);
    const salt = c.survey.engine.history.water !== 'fresh';
    const port = school(c.rules, 'flushing') === 'port';
    const still: ProcedureStep = {
      id: 'standing',
      text: port
        ? 'Hose on the flushing port, engine off, tap half open: ten minutes, until what comes out is clear; not the starter.'
        : 'Where it cannot run: hose on the flushing port, engine off, ten minutes; not the starter.',
      because: `${schoolSaid(c.rules, 'flushing')}.${port ? ' The thermostat stays shut: what lies behind it is flushed at the next run.' : ''}`,
      ...(port ? { wait: 10 } : {}),
      items: ['cooling.source']
    };
    const off: ProcedureStep = {
      id: 'off',
      text: `${port ? 'Water off' : 'Off, water off after it'}. Upright until no more drips, turned once by hand its way.`,
      turns: { way: a.way, from: 'above' },
      wait: 5
    };
    if (port) return [still, off];
    return [
      {
        id: 'safe',
        text: 'Outdoors, propeller off or everyone clear, out of gear.',
        careful: ['propeller', 'carbon-monoxide'],
        act: 'start',
        items: ['safe.place', 'safe.propeller']
      },
      {
        id: 'water',
        text: 'Muffs over every intake or in a tank above the plate; water on before anything starts.',
        items: ['cooling.source']
      },
      {
        id: 'start',
        text: 'Started: the stream within half a minute, or off.',
        careful: ['carbon-monoxide'],
        act: 'start',
        items: ['cooling.stream'],
        branch: [{ seen: 'None', then: 'Off; intake, outlet, pump.', job: 'screen' }]
      },
      {
        id: 'idle',
        text: salt
          ? 'At idle until it is warm and then ten minutes more, the thermostat open.'
          : 'At idle until it is warm and a few minutes more.',
        because: 'On muffs never above a fast idle: they give no more water than that.',
        wait: salt ? 15 : 8,
        careful: ['hot'],
        items: ['run.temperature']
      },
      ...(a.carburettor
        ? [
            {
              id: 'fuel',
              text: 'Put away for weeks? Fuel off for the last minute only by the house’s rule for lay-up, else left as it is.'
            }
          ]
        : []),
      off,
      still
    ];
  }
};
