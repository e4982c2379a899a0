/**
 * What is worked out from the records and thrown away with the process: the yard's lines and the full-text index. They lie in memory,
 * under the names that the schema gives them, so that reading never writes to the disk and a backup never holds them.
 */
export const cacheTables = `
  create temp table summaries (
    engine_id text not null,
    units text not null,
    survey_id text not null,
    at integer not null,
    ticking integer not null,
    pressing real not null,
    words text not null,
    row text not null,
    work text not null,
    primary key (engine_id, units)
  );
  create index temp.summaries_pressing on summaries (units, pressing);
  create virtual table temp.search using fts5(
    text, kind unindexed, engine_id unindexed, survey_id unindexed, place unindexed,
    tokenize = 'unicode61 remove_diacritics 2'
  );
`;
