import { FEWEST_PATIENTS, PAIN_AFTER, type PainAfter } from '../outlook';
import { MOVES, type Move } from '../progression';
import { ANSWERS, type Answer } from './facts';
import { type Cell, type Told, toldTable } from './guard';
import { type EpisodeOf, type ToldShare, toldShare } from './told';

export type ProposalTable = {
  readonly move: Move;
  readonly answers: Readonly<Record<Answer, Told>>;
  /** After those that were taken as they were or edited. */
  readonly pain: Readonly<Record<PainAfter, Told>>;
  readonly trouble: ToldShare;
};

/** How each kind of proposal was answered, and what followed where it was taken. */
export function proposalTables(all: readonly EpisodeOf[]): ProposalTable[] {
  const given = all.flatMap(({ patient, facts }) =>
    facts.proposals.map((proposal) => ({ patient, ...proposal })),
  );
  const cell = (some: typeof given): Cell => ({
    count: some.length,
    patients: new Set(some.map(({ patient }) => patient)).size,
  });
  const moves = MOVES.map((move) => given.filter((one) => one.move === move));
  const taken = moves.map((some) => some.filter(({ answer }) => answer !== 'declined'));
  const told = {
    answers: toldTable(
      moves.map((some) =>
        ANSWERS.map((answer) => cell(some.filter((one) => one.answer === answer))),
      ),
    ),
    pain: toldTable(
      taken.map((some) => PAIN_AFTER.map((pain) => cell(some.filter((one) => one.pain === pain)))),
    ),
    trouble: toldTable(
      taken.map((some) =>
        [true, false].map((trouble) => cell(some.filter((one) => one.trouble === trouble))),
      ),
    ),
  };
  return MOVES.flatMap((move, at): ProposalTable[] => {
    if (cell(moves[at] ?? []).patients < FEWEST_PATIENTS) return [];
    const mayTell = cell(taken[at] ?? []).patients >= FEWEST_PATIENTS;
    const row = (rows: readonly Told[][], index: number) => rows[at]?.[index] ?? null;
    return [
      {
        move,
        answers: Object.fromEntries(
          ANSWERS.map((answer, index) => [answer, row(told.answers, index)]),
        ) as Record<Answer, Told>,
        pain: Object.fromEntries(
          PAIN_AFTER.map((pain, index) => [pain, mayTell ? row(told.pain, index) : null]),
        ) as Record<PainAfter, Told>,
        trouble: mayTell ? toldShare(row(told.trouble, 0), taken[at]?.length ?? 0) : null,
      },
    ];
  });
}
