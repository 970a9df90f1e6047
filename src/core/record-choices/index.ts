/**
 * What fields of a record are chosen from, and how much one may hold: apart from the records' schemas, so
 * that a page that offers a choice does not carry what reads whole records.
 */
export * from './bounds';
export * from './choices';
