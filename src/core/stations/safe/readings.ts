import { choice, quantity, yesNo } from '../../items/item.ts';

/** Make it safe before it is touched: what protects hands, and the conditions every later reading is judged under. */
export const items = {
  lanyard: choice({ label: 'Stop lanyard', ask: 'Stop lanyard out', options: { out: 'out', in: 'in' }, absent: true }),
  battery: choice({ label: 'Battery', options: { off: 'off', on: 'connected' }, absent: true }),
  propeller: choice({
    label: 'Propeller',
    options: { off: 'taken off', clear: 'clear, nobody near', fouled: 'not clear' },
    absent: true
  }),
  secured: yesNo({ label: 'Stand rated for the weight, leg locked' }),
  place: choice({
    label: 'Where it will run',
    options: { outdoors: 'outdoors', roof: 'open roof, open sides', indoors: 'indoors' }
  }),
  altitude: quantity({ label: 'Altitude', dimension: 'altitude', min: -500, max: 6000 }),
  air: quantity({ label: 'Air temperature', dimension: 'temperature', min: 223.15, max: 333.15 }),
  forecast: quantity({
    label: 'Coldest night ahead',
    ask: 'Lowest temperature in the forecast',
    dimension: 'temperature',
    min: 203.15,
    max: 333.15
  }),
  rinsed: choice({
    drowned: true,
    label: 'Rinsed with fresh water',
    ask: 'Salt rinsed out with fresh water, connectors too',
    options: { yes: 'yes', kept: ['kept under fresh water', 'until work can start'], no: 'no' }
  })
} as const;

declare module '../../items/register.ts' {
  interface StationItems {
    readonly safe: typeof items;
  }
}
