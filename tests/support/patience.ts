/**
 * A busy machine is no fault of a test: each waits for what it expects, and only this ends one that
 * waits for what never comes.
 */
jest.setTimeout(300_000);
