/** So many complaints of one person are treated at once at most. Ours. */
export const MOST_EPISODES = 4;

/** The largest paper taken in, bytes: some dozen scanned pages. */
export const PAPER_LIMIT = 10 * 1024 * 1024;
export const PAPER_TOO_LARGE = 'This file is larger than 10 MB. Scan it smaller, or in parts.';

/** Largest photo taken in, bytes. */
export const PHOTO_LIMIT = 16 * 1024 * 1024;
export const PHOTO_TOO_LARGE = `This photo is larger than ${PHOTO_LIMIT / 1024 / 1024} MB. Take it at a smaller size.`;

/** So many photos may show a line's set-up. */
export const MOST_SET_UP_PHOTOS = 3;

/** The largest file of another system that is read, in characters: it is parsed at once. */
export const FOREIGN_FILE_LIMIT = 600_000;

/** Rows that travel in one post. */
export const ROWS_AT_ONCE = 100;
/** Rows of one table. */
export const MOST_ROWS = 5000;

/** The largest file of a whole record that is taken in, bytes: years of sessions with a hundred photos. */
export const RECORD_FILE_LIMIT = 64 * 1024 * 1024;
