import { setImmediate as nextTurn } from 'node:timers/promises';
import { DatabaseFailure, GuardRefused, write } from '@/db';
import { Problem } from '../problem';
import type { Post, TakenIn } from './teller';
import { type Outcome, writtenTogether } from './together';
import { processWide } from '@/db/process-wide';

/** Posts written in one transaction: few enough that nobody else waits long for them. */
export const MOST_TOGETHER = 16;
/** Events of one transaction, unless a single post brings more. */
export const MOST_EVENTS_TOGETHER = 64;
/** The longest that a post waits for others to be written with, in milliseconds. */
const GATHER_MS = 30;
/** How often a fold is tried again when another process stored events of the same day meanwhile. */
const TRIES = 5;

type Waiting = {
  readonly post: Post;
  readonly done: (value: TakenIn) => void;
  readonly failed: (reason: unknown) => void;
};

/** Who waits. */
const place = processWide<Line>('take-in');
type Line = { readonly waiting: Waiting[]; isWritten: boolean };
const line = (): Line => (place.value ??= { waiting: [], isWritten: false });

/**
 * Takes a post in. Posts that come within a few turns of the event loop, or while the database is at
 * another write, are written together; where no other comes, none waits.
 */
export function takeInTurn(post: Post): Promise<TakenIn> {
  return new Promise((done, failed) => {
    line().waiting.push({ post, done, failed });
    if (!line().isWritten) void writeAll();
  });
}

async function writeAll(): Promise<void> {
  const { waiting } = line();
  line().isWritten = true;
  try {
    while (waiting.length > 0) {
      await gather(waiting);
      await writeNext(waiting);
    }
  } finally {
    line().isWritten = false;
  }
}

/** Waits for as long as every turn of the event loop brings one more, and not for long. */
async function gather(waiting: readonly Waiting[]): Promise<void> {
  const until = performance.now() + GATHER_MS;
  for (let seen = 0; seen < waiting.length && waiting.length < MOST_TOGETHER;) {
    seen = waiting.length;
    await nextTurn();
    if (performance.now() > until) return;
  }
}

/** Writes those who wait at the moment when it is this write's turn. */
async function writeNext(waiting: Waiting[]): Promise<void> {
  let taken: Waiting[] = [];
  let outcomes: readonly Outcome[] = [];
  try {
    await write(async () => {
      // Also where the write is tried again: the same ones, reckoned anew.
      if (taken.length === 0) taken = nextOf(waiting);
      const [first] = taken;
      if (!first) return [];
      const together = await writtenTogether(
        first.post.teller.patient.clinicId,
        taken.map(({ post }) => post),
      );
      ({ outcomes } = together);
      return together.statements;
    });
  } catch (error) {
    if (taken.length === 0) taken = nextOf(waiting);
    const isBusy = error instanceof DatabaseFailure && error.kind === 'busy';
    // One of them kept the others out: each on its own.
    const again = !isBusy && (taken.length > 1 || isDay(error));
    const tries = taken.length > 1 ? TRIES : TRIES - 1;
    for (const one of taken)
      if (again) await settle(one, () => writeAlone(one.post, tries));
      else one.failed(error);
    return;
  }
  for (const [index, one] of taken.entries()) {
    const outcome = outcomes[index];
    if (outcome) await settle(one, () => valueOf(outcome));
  }
}

/** The first who waits, and who may be written with them: of the same clinic, each patient once. */
export function nextOf(list: Waiting[]): Waiting[] {
  const first = list[0];
  if (!first) return [];
  const taken: Waiting[] = [];
  const patients = new Set<string>();
  let events = 0;
  for (const one of [...list]) {
    const { patient } = one.post.teller;
    const count = one.post.coming.events.length;
    if (taken.length === MOST_TOGETHER) break;
    if (patient.clinicId !== first.post.teller.patient.clinicId || patients.has(patient.id))
      continue;
    if (taken.length > 0 && events + count > MOST_EVENTS_TOGETHER) continue;
    patients.add(patient.id);
    events += count;
    taken.push(one);
    list.splice(list.indexOf(one), 1);
  }
  return taken;
}

async function writeAlone(post: Post, tries: number): Promise<TakenIn> {
  for (let attempt = 1; ; attempt += 1) {
    let outcome: Outcome | undefined;
    try {
      await write(async () => {
        const alone = await writtenTogether(post.teller.patient.clinicId, [post]);
        [outcome] = alone.outcomes;
        return alone.statements;
      });
      if (outcome) return valueOf(outcome);
    } catch (error) {
      if (!isDay(error) || attempt === tries) throw error;
    }
  }
}

const isDay = (error: unknown) => error instanceof GuardRefused && error.guard === 'day';

function valueOf(outcome: Outcome): TakenIn {
  switch (outcome.kind) {
    case 'taken in':
      return outcome.value;
    case 'too much':
      throw new Problem(
        413,
        'More was sent for one day than a day can hold. What was there before is kept; call your clinic about the rest.',
      );
  }
}

async function settle(
  { done, failed }: Waiting,
  job: () => TakenIn | Promise<TakenIn>,
): Promise<void> {
  try {
    done(await job());
  } catch (error) {
    failed(error);
  }
}
