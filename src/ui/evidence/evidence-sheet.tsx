import {
  ANSWERS,
  CHANGED_WEEKS,
  ENDINGS,
  type Evidence,
  PAIN_AFTER_WORDS,
  bandInWords,
  sizeInWords,
} from '@/core/evidence';
import { PAIN_AFTER } from '@/core/outlook';
import { ChangedChart } from './changed-chart';
import { IntervalMark } from './interval-mark';
import { LeavingBars } from './leaving-bars';
import {
  Cell,
  EvidenceSection,
  EvidenceTable,
  RateCell,
  Row,
  ShareCell,
  Untold,
  WordCell,
} from './table';
import { percentText } from '@/core/units';
import { groupInWords, percentRange } from './words';

type Counted = Extract<Evidence, { kind: 'counted' }>;

/** What the clinic's episodes say together: each number as text, with a mark or a picture beside it. */
export function EvidenceSheet({
  told,
  exerciseName,
}: {
  told: Counted;
  exerciseName: (id: string) => string;
}) {
  const nameOf = (name: string) => groupInWords(told.by, name);
  return (
    <>
      <Endings told={told} nameOf={nameOf} />
      <Changed told={told} nameOf={nameOf} />
      <Leaving told={told} />
      <Minutes told={told} />
      <Exercises told={told} exerciseName={exerciseName} />
      <Proposals told={told} />
    </>
  );
}

function Endings({ told, nameOf }: { told: Counted; nameOf: (name: string) => string }) {
  return (
    <EvidenceSection
      title="Begun, finished, left"
      say="Finished is a discharge of somebody who still did it. Left is a fortnight of due days with nothing done, also where the episode was closed after. How many, the share of the row, and its 95 % interval."
    >
      <EvidenceTable
        label="Begun, finished, left"
        columns={[
          told.by === 'complaint' ? 'Complaint mainly of' : 'Most lines grow by',
          'Episodes',
          ...ENDINGS.map((one) => one.charAt(0).toUpperCase() + one.slice(1)),
          'Dose done, weeks 1 to 4',
        ]}
      >
        {told.groups.map(({ name, episodes, endings, dose }) => (
          <Row key={name} name={nameOf(name)}>
            <Cell>{episodes}</Cell>
            {ENDINGS.map((ending) => (
              <ShareCell key={ending} told={endings[ending]} />
            ))}
            {dose ? (
              <Cell interval={percentRange(dose.low, dose.high)}>{percentText(dose.mean)}</Cell>
            ) : (
              <Cell>
                <Untold />
              </Cell>
            )}
          </Row>
        ))}
      </EvidenceTable>
    </EvidenceSection>
  );
}

function Changed({ told, nameOf }: { told: Counted; nameOf: (name: string) => string }) {
  const groups = told.groups.filter(({ changed }) => changed.length > 0);
  const weeks = CHANGED_WEEKS.filter((week) =>
    groups.some(({ changed }) => changed.some(({ weeks: at }) => at === week)),
  );
  return (
    <EvidenceSection
      title="How long until pain had changed by as much as matters"
      say="By 2 points or 30 % (Farrar 2001), likelier than not, and said at a weekly look as on Follow. Whoever stopped telling counts as long as they told (Kaplan and Meier 1958). Pain under 2 of 10 at the start is left out: there is little to gain."
    >
      {groups.length === 0 ? (
        <p>Too few episodes have told of their pain for long enough.</p>
      ) : (
        <>
          <ChangedChart groups={groups} nameOf={nameOf} />
          <EvidenceTable
            label="Pain changed, by week"
            columns={[
              told.by === 'complaint' ? 'Complaint mainly of' : 'Most lines grow by',
              'Followed',
              'Half had changed after',
              ...weeks.map((week) => `By week ${week}`),
            ]}
          >
            {groups.map(({ name, changed, changedOf, medianWeeks }) => (
              <Row key={name} name={nameOf(name)}>
                <Cell>{changedOf ?? <Untold />}</Cell>
                <WordCell>
                  {medianWeeks === null
                    ? 'not half yet'
                    : medianWeeks === 1
                      ? '1 week'
                      : `${medianWeeks} weeks`}
                </WordCell>
                {weeks.map((week) => {
                  const at = changed.find((one) => one.weeks === week);
                  return at ? (
                    <Cell key={week} interval={percentRange(at.low, at.high)}>
                      {percentText(at.share)}
                    </Cell>
                  ) : (
                    <Cell key={week}>
                      <Untold />
                    </Cell>
                  );
                })}
              </Row>
            ))}
          </EvidenceTable>
        </>
      )}
    </EvidenceSection>
  );
}

function Leaving({ told: { leavingWeeks, lastTold } }: { told: Counted }) {
  return (
    <EvidenceSection
      title="Where patients leave the programme"
      say="The week of the last session, and what was told in the days before it, the gravest first. It is what they told last, not why they left."
    >
      {leavingWeeks.length === 0 ? (
        <p>Fewer than five patients have left.</p>
      ) : (
        <div className="flex flex-wrap gap-x-14 gap-y-4">
          <LeavingBars
            label="Week of the last session"
            bars={leavingWeeks.map(({ count, ...band }) => ({
              name: `week ${bandInWords(band)}`,
              count,
            }))}
          />
          <LeavingBars
            label="Told last"
            bars={lastTold
              .filter(({ count }) => count !== 0)
              .map(({ what, count }) => ({ name: what, count }))}
          />
        </div>
      )}
    </EvidenceSection>
  );
}

function Minutes({ told: { minutes } }: { told: Counted }) {
  return (
    <EvidenceSection
      title="Does asking for more get less done?"
      say="The least minutes of the first programme’s fullest day, beside the share of the dose that was done in its first four weeks. Whoever was asked for more may differ in other ways."
    >
      {minutes.length === 0 ? (
        <p>Too few programmes have run for four weeks.</p>
      ) : (
        <EvidenceTable
          label="Minutes asked and dose done"
          columns={[
            'Minutes a day asked',
            'Episodes',
            'Share of the dose done',
            '',
            '80 % and more',
          ]}
        >
          {minutes.map(({ from, to, of, mean, low, high, most }) => (
            <Row key={from} name={bandInWords({ from, to })}>
              <Cell>{of ?? <Untold />}</Cell>
              <Cell interval={percentRange(low, high)}>{percentText(mean)}</Cell>
              <td>
                <IntervalMark value={mean} low={low} high={high} most={1} />
              </td>
              <ShareCell told={most} />
            </Row>
          ))}
        </EvidenceTable>
      )}
    </EvidenceSection>
  );
}

function Exercises({
  told: { exercises },
  exerciseName,
}: {
  told: Counted;
  exerciseName: (id: string) => string;
}) {
  const most = Math.max(10, ...exercises.map(({ flares }) => flares?.high ?? 0));
  return (
    <EvidenceSection
      title="Flares and stops by exercise"
      say="Of a thousand sessions with it: pain over 5 or trouble next morning; ended for a symptom, of this exercise or another; left out. Sessions of one patient resemble each other, so that the intervals are too narrow rather than too wide."
    >
      {exercises.length === 0 ? (
        <p>No exercise was done in fifty sessions by five patients yet.</p>
      ) : (
        <EvidenceTable
          label="Flares and stops by exercise"
          columns={['Exercise', 'Patients', 'Sessions', 'Flares', '', 'Stops', 'Left out']}
        >
          {exercises.map(({ id, patients, sessions, flares, stops, leftOut }) => (
            <Row key={id} name={exerciseName(id)}>
              <WordCell>{sizeInWords(patients)}</WordCell>
              <Cell>{sessions}</Cell>
              <RateCell told={flares} />
              <td>
                {flares && (
                  <IntervalMark
                    value={flares.per}
                    low={flares.low}
                    high={flares.high}
                    most={most}
                  />
                )}
              </td>
              <RateCell told={stops} />
              <RateCell told={leftOut} />
            </Row>
          ))}
        </EvidenceTable>
      )}
    </EvidenceSection>
  );
}

function Proposals({ told: { proposals } }: { told: Counted }) {
  return (
    <EvidenceSection
      title="How proposals were answered, and what followed"
      say="What followed is counted for those that were accepted or edited: the worst pain of the fortnight after against the one before (non-overlap of all pairs, 95 %), and trouble, which is pain over 5, a bad morning or a stop. That it came after does not make it because of it."
    >
      {proposals.length === 0 ? (
        <p>Too few proposals have been decided on.</p>
      ) : (
        <EvidenceTable
          label="Proposals"
          columns={[
            'Proposed',
            ...ANSWERS.map((one) => one.charAt(0).toUpperCase() + one.slice(1)),
            ...PAIN_AFTER.map((one) => PAIN_AFTER_WORDS[one]),
            'Trouble after',
          ]}
        >
          {proposals.map(({ move, answers, pain, trouble }) => (
            <Row key={move} name={move}>
              {ANSWERS.map((answer) => (
                <Cell key={answer}>{answers[answer] ?? <Untold />}</Cell>
              ))}
              {PAIN_AFTER.map((one) => (
                <Cell key={one}>{pain[one] ?? <Untold />}</Cell>
              ))}
              <ShareCell told={trouble} />
            </Row>
          ))}
        </EvidenceTable>
      )}
    </EvidenceSection>
  );
}
