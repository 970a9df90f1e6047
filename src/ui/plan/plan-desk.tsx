'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useReducer, useRef, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { type AskingFinding, circumstancesOf, placeForNew } from '@/core/choose';
import type { Exercise } from '@/core/exercise';
import type { FindingFacts } from '@/core/findings';
import type { BandCurve } from '@/core/load';
import { completeness, safetyStops } from '@/core/programme';
import type { ReadyFound } from '@/core/ready';
import type { HomeBody, PutAsked, TemplateDraft } from '@/core/records';
import type { WakingHours, Zone } from '@/core/schedule';
import type { PrecautionId, Screened } from '@/core/screen';
import type { SetUpFacts } from '@/core/set-up';
import { type Frozen, type LocalDate, type PatientId, shortDay } from '@/core/units';
import { useKeys } from '../forms/use-keys';
import { type Refused, useSend } from '../forms/use-send';
import { onDemand } from '../primitives/on-demand';
import { DeskFactsProvider, type OpenComplaint } from './desk-facts';
import { DeskLines } from './desk-lines';
import { DeskTools } from './desk-tools';
import { DeskNotices } from './desk-notices';
import { type ShownSuggestion, lineOf, templateLines, wordsByFamily } from './desk-reading';
import {
  type Desk,
  type DeskAction,
  deskStep,
  draftOf,
  forComplaint,
  startHistory,
} from './desk-state';
import { DatesPanel, SendPanel } from './panels/send-panel';
import { type DeskLine, newLine, readLine } from './draft';
import { ExerciseSearch } from './exercise-search';
import { FindingsLeft, type FindingShown } from './findings-left';
import { type PatientReads, ReadsPanel } from './panels/reads-panel';
import { Suggestions } from './panels/suggestions';
import { Ahead, Checks, DeskDay } from './reckoned';
import type { EarlierVersion } from './reckoned/versions-pane';
import { useDayPlan } from './use-day-plan';
import { useFactsOf } from './use-facts-of';
import { type KeptDesk, type OtherAtDesk, useKeptDraft } from './use-kept-draft';
import { usePutDown } from './use-put-down';
import { useReady } from './use-ready';
import { useSettled } from './use-settled';
import { type OpenDialog, useRowMoves } from './use-row-moves';
import { fillLines, orderLines } from './whole-desk';

const KeysDialog = onDemand(() => import('./panels/keys-dialog').then((made) => made.KeysDialog));
const DeskDialogs = onDemand(() => import('./desk-dialogs').then((made) => made.DeskDialogs));

export type PlanDeskProps = {
  readonly patientId: PatientId;
  /** The newest version there is; 0 when there is none. */
  readonly newest: number;
  readonly start: Desk;
  readonly earliest: LocalDate;
  readonly today: LocalDate;
  readonly waking: WakingHours;
  readonly zone: Zone;
  readonly minutesADay: number | null;
  /** The screening blocks prescribing. */
  readonly blocked: boolean;
  readonly screened: Screened;
  readonly precautions: readonly PrecautionId[];
  readonly findings: readonly (FindingShown & AskingFinding)[];
  readonly suggestions: readonly ShownSuggestion[];
  readonly facts: FindingFacts;
  readonly setUp: SetUpFacts;
  readonly goodSessions: number;
  readonly leastRungDays: number;
  /** The patient's open complaints, the one at hand first. */
  readonly episodes: readonly OpenComplaint[];
  readonly home: HomeBody | null;
  readonly homeId: string | null;
  readonly dayPlan: Readonly<Record<string, number>>;
  readonly dayPlanId: string | null;
  readonly own: readonly Exercise[];
  readonly bands: readonly BandCurve[];
  readonly templates: readonly Frozen<TemplateDraft>[];
  /** The ready programmes that the clinic offers. */
  readonly ready: readonly ReadyFound[];
  /** What is to be put down at once, chosen before the desk was opened; null for nothing. */
  readonly put: PutAsked | null;
  /** The member's unsaved desk. */
  readonly kept: KeptDesk | null;
  readonly others: readonly OtherAtDesk[];
  readonly earlier: readonly EarlierVersion[];
  /** What the patient reads, where it is not the clinic's language; else null. */
  readonly reads: PatientReads | null;
};

/** Findings left, lines in the middle, the day right, checks below; all by key, mouse or touch. */
export function PlanDesk(props: PlanDeskProps) {
  const { patientId, newest, start, earliest, findings, blocked, screened, minutesADay } = props;
  const restored = props.kept?.desk ?? null;
  const [history, dispatch] = useReducer(deskStep, restored ?? start, startHistory);
  const atHand = props.episodes[0]?.id ?? null;
  // What is put down is for the complaint at hand, also where another one is by the time it is sent.
  const step = useCallback(
    (action: DeskAction) =>
      dispatch(
        action.type === 'add' ? { ...action, lines: forComplaint(action.lines, atHand) } : action,
      ),
    [atHand],
  );
  const desk = history.now;
  const [newUid, setNewUid] = useState('');
  const { busy, send } = useSend();
  const router = useRouter();
  const [refusal, setRefusal] = useState<Refused | null>(null);
  const [dialog, setDialog] = useState<OpenDialog | null>(null);
  const [keysOpen, setKeysOpen] = useState(false);
  const [accepted, setAccepted] = useState<ReadonlySet<string>>(new Set());
  const search = useRef<HTMLInputElement>(null);
  const draft = useKeptDraft(patientId, newest, desk, start, props.others);
  const { dragged, drag } = useDayPlan(patientId, props.dayPlan, props.dayPlanId, props.today);

  const facts = useFactsOf(props);
  const { catalogue } = facts;
  const settled = useSettled(desk, facts, earliest);
  const given = useMemo(
    () => ({ blocked, screened, findings, minutesADay, dragged }),
    [blocked, screened, findings, minutesADay, dragged],
  );
  const findingWords = useMemo(() => wordsByFamily(findings), [findings]);
  const moves = useRowMoves(desk, catalogue, step, search, setDialog);
  const unreadable = desk.lines.filter((line) => !readLine(line, catalogue).ok).length;
  const { lines, frame } = settled;
  const incomplete = useMemo(
    () => completeness({ lines, reviewOn: frame.review }).filter(({ weight }) => weight === 'look'),
    [lines, frame.review],
  );
  const stops = useMemo(
    () => safetyStops({ lines, blocked, screened }),
    [lines, blocked, screened],
  );

  const addLines = useCallback(
    (lines: readonly DeskLine[]) => {
      if (lines.length === 0) return;
      setNewUid(lines.at(-1)?.uid ?? '');
      step({ type: 'add', lines });
    },
    [step],
  );
  const ready = useReady(
    desk,
    catalogue.all,
    circumstancesOf(facts.home, facts.precautions),
    step,
    addLines,
  );
  function add(exercise: Exercise) {
    const line = newLine(uuid(), exercise.id, exercise.usualDose);
    const there = desk.lines.map(({ exerciseId }) => catalogue.byId(exerciseId));
    setNewUid(line.uid);
    step({ type: 'add', lines: [line], at: placeForNew(exercise, there) });
  }
  const addSuggestions = useCallback(
    (chosen: readonly ShownSuggestion[]) => {
      addLines(
        chosen.flatMap((one) => {
          const exercise = catalogue.byId(one.exerciseId);
          return exercise ? [lineOf(exercise, one)] : [];
        }),
      );
      setAccepted(new Set());
    },
    [addLines, catalogue],
  );

  usePutDown(props.put, {
    exercise: (id) => {
      const exercise = catalogue.byId(id);
      if (!exercise) return null;
      if (desk.lines.some(({ exerciseId }) => exerciseId === exercise.id))
        return `${exercise.name} stands on this desk already.`;
      add(exercise);
      return `${exercise.name} is put down in its usual dose.`;
    },
    // What it is, and what this patient closes of it, stands on the desk itself.
    ready: (id) => {
      ready.apply(id);
      return null;
    },
    template: (id) => {
      const template = props.templates.find((one) => one.id === id);
      if (!template) return null;
      addLines(templateLines(template));
      return `${template.name} is put down below what stands here.`;
    },
  });

  async function save() {
    setRefusal(null);
    const version = draftOf(desk, patientId, newest);
    await send<{ number: number; effectiveFrom: LocalDate }>('/api/v1/programmes', version, {
      done: ({ number }) => {
        draft.forget();
        // What comes next stands on the page that is read anew.
        router.replace(`/patients/${patientId}/plan?saved=${number}`);
      },
      said: ({ number, effectiveFrom }) =>
        `Version ${number} saved; it begins on ${shortDay(effectiveFrom)}.`,
      refused: setRefusal,
    });
  }

  const fillAll = () => fillLines(desk, catalogue, step);
  const order = () => orderLines(desk, catalogue, step);
  const addAccepted = () =>
    addSuggestions(props.suggestions.filter(({ exerciseId }) => accepted.has(exerciseId)));

  useKeys([
    { key: 'k', held: 'command', whileTyping: true, does: () => search.current?.focus() },
    { key: 'k', held: 'alt', whileTyping: true, does: () => setKeysOpen(true) },
    { key: 'Enter', held: 'command', whileTyping: true, does: () => void save() },
    { key: 's', held: 'command', whileTyping: true, does: () => void save() },
    { key: 'z', held: 'command', does: () => step({ type: 'undo' }) },
    { key: 'z', held: 'command and shift', does: () => step({ type: 'redo' }) },
    { key: 'a', held: 'alt', whileTyping: true, does: addAccepted },
    { key: 'f', held: 'alt', whileTyping: true, does: fillAll },
    { key: 'o', held: 'alt', whileTyping: true, does: order },
    { key: 'u', held: 'alt', whileTyping: true, does: () => ready.fit && ready.take() },
  ]);

  return (
    <DeskFactsProvider value={facts}>
      <div className="grid gap-x-6 gap-y-4 lg:grid-cols-[15rem_minmax(0,1fr)_16.5rem]">
        <aside aria-label="Findings" className="grid content-start gap-4">
          <FindingsLeft findings={findings} patientId={patientId} />
          <Suggestions
            suggestions={props.suggestions}
            present={new Set(desk.lines.map(({ exerciseId }) => exerciseId))}
            accepted={accepted}
            onAccept={(id, accept) => {
              const next = new Set(accepted);
              if (accept) next.add(id);
              else next.delete(id);
              setAccepted(next);
            }}
            onAdd={addSuggestions}
          />
        </aside>
        <section aria-label="Programme" className="grid min-w-0 content-start gap-2">
          <DeskNotices
            others={draft.others}
            kept={props.kept}
            newest={newest}
            back={restored !== null && desk === restored}
            onAgain={() => step({ type: 'replace', desk: start })}
          />
          <ExerciseSearch
            exercises={catalogue.all}
            more={findingWords}
            onPick={add}
            ready={props.ready}
            onPickReady={ready.apply}
            inputRef={search}
          />
          <DeskTools
            patientId={patientId}
            desk={desk}
            exercises={catalogue.all}
            templates={props.templates}
            offered={props.ready}
            home={props.home}
            homeId={props.homeId}
            today={props.today}
            onAdd={addLines}
            onApplyReady={ready.apply}
            onOrder={order}
            onFill={fillAll}
            onKeys={() => setKeysOpen(true)}
          />
          {ready.fit && (
            <ready.fit.Fit
              programme={ready.fit.programme}
              lines={ready.fit.closed}
              screened={screened}
              onTake={ready.take}
              onLeave={ready.leave}
            />
          )}
          <DeskLines desk={desk} newUid={newUid} moves={moves} step={step} />
          <Checks settled={settled} given={given} />
        </section>
        <aside aria-label="Time and saving" className="grid content-start gap-4">
          <SendPanel
            desk={desk}
            step={step}
            newest={newest}
            draft={draft.state}
            refusal={refusal}
            busy={busy}
            stops={stops}
            incomplete={incomplete.length}
            unreadable={unreadable}
            canUndo={history.before.length > 0}
            canRedo={history.after.length > 0}
            onSave={save}
          />
          {props.reads && <ReadsPanel patientId={patientId} desk={desk} reads={props.reads} />}
          <DeskDay settled={settled} given={given} moves={moves} onDrag={drag} />
          <DatesPanel desk={desk} step={step} earliest={earliest} refusal={refusal} />
        </aside>
      </div>
      <Ahead settled={settled} given={given} earlier={props.earlier} step={step} />
      <DeskDialogs
        open={dialog !== null}
        dialog={dialog}
        desk={desk}
        step={step}
        onClose={() => setDialog(null)}
      />
      <KeysDialog open={keysOpen} onClose={() => setKeysOpen(false)} />
    </DeskFactsProvider>
  );
}
