import { sql } from 'drizzle-orm';
import type { TrayPart } from '../../../core/record/work.ts';
import { fastenerMap, type Fastener, type TrayOfModel } from '../../../core/tray/fasteners.ts';
import { trayOf } from '../../../core/tray/tray.ts';
import type { Db } from '../db/open.ts';
import { dbOf, type StoreOptions } from './context.ts';
import { ofModel } from './models.ts';

interface Row {
  readonly surveyId: string;
  readonly startedAt: string;
  readonly tag: string | null;
  readonly body: string;
}

/**
 * What came off engines of the same model (maker and model alike but for case and spaces), and off this one before: its fastener
 * map. An engine whose model nobody wrote down has only its own. The assessment at hand is left out.
 */
export function fastenersFor(surveyId: string, o: StoreOptions = {}): Fastener[] {
  const db = dbOf(o);
  const { state } = db.get<{ state: string }>(
    sql`select ifnull((select max(seq) from entries), 0) || '/' || ifnull((select max(seq) from facts), 0) as state`
  );
  const kept = maps.get(db);
  const mine = kept?.state === state ? kept.bySurvey : new Map<string, Fastener[]>();
  if (mine !== kept?.bySurvey) maps.set(db, { state, bySurvey: mine });
  const list = mine.get(surveyId) ?? drawn(surveyId, db);
  mine.set(surveyId, list);
  return list;
}

/** The maps as they were worked out, for as long as nothing was recorded since. */
const maps = new WeakMap<Db, { readonly state: string; readonly bySurvey: Map<string, Fastener[]> }>();

function drawn(surveyId: string, db: Db): Fastener[] {
  const rows = db.all<Row>(sql`
    ${ofModel(sql`select engine_id as id from surveys where id = ${surveyId}`)}
    select s.id as surveyId, s.started_at as startedAt, t.shown as tag, e.body as body
    from surveys s
    join entries e on e.survey_id = s.id and e.type = 'tray'
    left join said t on t.engine_id = s.engine_id and t.path = 'identity.tag'
    where s.engine_id in (select id from alike) and s.id <> ${surveyId}
    order by e.seq`);
  const bySurvey = new Map<string, Row[]>();
  for (const r of rows) bySurvey.set(r.surveyId, [...(bySurvey.get(r.surveyId) ?? []), r]);
  return fastenerMap(
    [...bySurvey.values()].map((list): TrayOfModel => {
      const { tag, startedAt } = list[0]!;
      const parts = list.map((r) => JSON.parse(r.body) as TrayPart);
      return {
        label: `${tag ?? 'an engine'}, ${startedAt.slice(0, 10)}`,
        startedAt,
        tray: trayOf({ tray: parts })
      };
    })
  );
}
