import { stationIds } from '../stations/register.ts';
import { entrySchemas } from '../record/entry-kinds.ts';
import { surveyFileSchemaOf } from '../record/survey-file.ts';
import { allItems } from '../stations/items.ts';

/** The schemas of everything that can be appended, over the items of all stations. */
export const schemas = entrySchemas({ items: allItems, stations: stationIds });
export const readingSchema = schemas.reading;
export const surveyFileSchema = surveyFileSchemaOf(schemas);
