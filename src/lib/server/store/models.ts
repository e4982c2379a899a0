import { sql, type SQL } from 'drizzle-orm';
import { cardOf, type CardFile } from '../../../core/engine/card-file.ts';
import { loadEngine } from './engines.ts';
import { dbOf, type StoreOptions } from './context.ts';

/**
 * Common table expressions for engines of one model: `said` (the latest maker, model and tag of each engine), `here` (the engine asked
 * about) and `alike` (it, and those whose maker and model are alike but for case and spaces). An engine without a model has only itself.
 * `here` is a query that gives one engine's `id`.
 */
export const ofModel = (here: SQL): SQL => sql`
    with said as (
      select engine_id, path, lower(trim(json_extract(value, '$'))) as word, json_extract(value, '$') as shown
      from facts f
      where path in ('identity.maker', 'identity.model', 'identity.tag')
        and seq = (select max(seq) from facts g where g.engine_id = f.engine_id and g.path = f.path)
    ),
    here as (${here}),
    alike as (
      select id from here
      union
      select m.engine_id from said m
      join said own on own.engine_id = (select id from here) and own.path = 'identity.model' and own.word = m.word
      where m.path = 'identity.model' and m.word <> ''
        and ifnull((select word from said where engine_id = m.engine_id and path = 'identity.maker'), '')
          = ifnull((select word from said where engine_id = own.engine_id and path = 'identity.maker'), '')
    )`;

/** Cards of other engines of the same model, the fullest first. */
export function cardsOfModel(engineId: string, o: StoreOptions = {}, most = 5): { engineId: string; card: CardFile }[] {
  const rows = dbOf(o).all<{ id: string }>(sql`
    ${ofModel(sql`select ${engineId} as id`)}
    select a.id as id, count(distinct f.path) as n from alike a
    join facts f on f.engine_id = a.id and (f.path like 'card.%' or f.path like 'manual.%')
    where a.id <> ${engineId}
    group by a.id order by n desc, a.id limit ${most}`);
  return rows
    .map(({ id }) => ({ engineId: id, card: cardOf(loadEngine(id, o)) }))
    .filter(({ card }) => card.entries.some((e) => !e.path.startsWith('profile.')));
}
