import { Unreadable } from './unreadable';

export { Unreadable };

/**
 * The database's failures, stripped of statements and parameters: a patient's words must not reach
 * a log through an error's text.
 */
export class DatabaseFailure extends Error {
  constructor(
    /** 'busy': nothing was stored, trying again may help. 'failed': it will not. */
    readonly kind: 'busy' | 'failed',
    /** The engine's own code, such as SQLITE_CANTOPEN. */
    readonly code: string,
  ) {
    super(`database ${kind} (${code})`);
    this.name = 'DatabaseFailure';
  }
}

/** Why a server does not start with this database, for whoever looks after it. */
export class StartRefused extends Error {
  constructor(readonly say: string) {
    super('start refused');
    this.name = 'StartRefused';
  }
}

export type GuardName =
  | 'access'
  | 'alert'
  | 'attempts'
  | 'code'
  | 'version'
  | 'day'
  | 'empty'
  | 'episode'
  | 'erased'
  | 'leads'
  | 'newest'
  | 'screening'
  | 'screened'
  | 'consent'
  | 'room'
  | 'offered'
  | 'triage';

/** A condition of a batch no longer held, so nothing of the batch was stored. */
export class GuardRefused extends Error {
  constructor(readonly guard: GuardName | 'other') {
    super(`guard refused (${guard})`);
    this.name = 'GuardRefused';
  }
}

/** A row that must be unique is there already; nothing was stored. */
export class AlreadyThere extends Error {
  constructor() {
    super('already there');
    this.name = 'AlreadyThere';
  }
}

function chain(error: unknown): unknown[] {
  const links: unknown[] = [];
  for (let link = error; link instanceof Error && links.length < 8; link = link.cause)
    links.push(link);
  return links;
}

function textsOf(error: unknown): string[] {
  return chain(error).flatMap((link) => {
    const { message, code } = link as { message?: string; code?: unknown };
    return [typeof code === 'string' ? code : '', message ?? ''];
  });
}

/** True for SQLITE_BUSY and SQLITE_LOCKED, however deep the driver wrapped it. */
export function isBusy(error: unknown): boolean {
  return textsOf(error).some((text) => /SQLITE_(BUSY|LOCKED)|database is locked/i.test(text));
}

/** The clean error for whatever the driver threw. */
export function cleanError(error: unknown): Error {
  if (
    error instanceof DatabaseFailure ||
    error instanceof GuardRefused ||
    error instanceof AlreadyThere ||
    error instanceof Unreadable
  ) {
    return error;
  }
  const texts = textsOf(error);
  const guard = texts
    .map((text) => /guard refused: (\w+)/.exec(text)?.[1])
    .find((name) => name !== undefined);
  if (guard !== undefined) return new GuardRefused(guard as GuardName);
  if (texts.some((text) => /UNIQUE constraint|CONSTRAINT_(UNIQUE|PRIMARYKEY)/.test(text)))
    return new AlreadyThere();
  const code = texts
    .map((text) => /\b(SQLITE_[A-Z_]+|ECONN[A-Z]+|HRANA_[A-Z_]+)\b/.exec(text)?.[1])
    .find(Boolean);
  return new DatabaseFailure(isBusy(error) ? 'busy' : 'failed', code ?? 'unknown');
}
