import { v4 as uuid } from 'uuid';

/** Ids that this page made for records of which the server has not answered yet. */
const made = new Set<unknown>();

/** An id for a record that is to be made now; under it the record is known again where its answer is lost. */
export function newId(): string {
  const id = uuid();
  made.add(id);
  return id;
}

/** Whether an id was made here for a record that nobody has answered for; one of a record that is there is not. */
export const isNewId = (id: unknown): boolean => made.has(id);

/** The server has answered for this record: from now on its id is that of what is there. */
export function idAnswered(id: unknown): void {
  made.delete(id);
}
