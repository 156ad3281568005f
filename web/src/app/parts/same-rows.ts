import { sameFields } from '@aurantia/core';

type Rows<Row> = readonly Row[] | null | undefined;

/** Whether rows hold the same as those before, in the same order: what reads alike second after second needn't be drawn anew. */
export const sameRows = <Row extends object>(now: Rows<Row>, before: Rows<Row>): boolean =>
  now === before || (!!now && now.length === before?.length && now.every((row, i) => sameFields(row, before[i])));
