/** Where a line stands on the page, for what is laid over it later. */
export const rowId = (uid: string): string => `line-${uid}`;

/** The empty place in a line that its handle takes. */
export const handleId = (uid: string): string => `handle-${uid}`;
