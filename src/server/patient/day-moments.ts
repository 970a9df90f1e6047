import { SESSION_DONE_FROM } from '@/core/adherence';
import { isPausedOn } from '@/core/history';
import type { HomeBody } from '@/core/records';
import type { Remindable } from '@/core/reminders';
import { type RibbonSession, layRibbon, sessionsOn, versionOn } from '@/core/schedule';
import { sessionSeconds, sessionTimeline } from '@/core/timeline';
import type { LocalDate } from '@/core/units';
import type { Patient } from '@/db';
import { languageFor } from '../languages';
import { type PatientFacts } from '../programme-facts';
import { slotText } from './slot-text';
import { newestEntry } from '../visit/entries';

/** A moment of a day with how long it takes, in minutes. */
export type DayMoment = Remindable & { readonly minutes: number };

export type DayLayout = {
  readonly plan: Readonly<Record<string, number>>;
  readonly busy: HomeBody['busy'];
};

/** Where the patient's sessions were dragged to, and what takes up their day. */
export async function layoutOf(patient: Patient): Promise<DayLayout> {
  const [plan, home] = await Promise.all([
    newestEntry(patient, 'day-plan'),
    newestEntry(patient, 'home'),
  ]);
  return { plan: plan?.body.at ?? {}, busy: home?.body.busy ?? [] };
}

/**
 * The sessions and posture beats of a date at their times of the wall clock, as the day ribbon lays
 * them; none on a paused day. What finds no room in the day is not among them.
 */
export function momentsOf(facts: PatientFacts, date: LocalDate, layout: DayLayout): DayMoment[] {
  const version = versionOn(facts.versions, date);
  if (!version || isPausedOn(facts.pauses, date)) return [];
  const language = languageFor(facts.patient);
  const { sessions } = sessionsOn(date, version.lines, facts.waking, version.reviewOn);
  const timed = sessions.map((session): RibbonSession & { label: string } => ({
    key: session.key,
    slot: session.slot,
    label: slotText(session.slot, language),
    seconds: sessionSeconds(sessionTimeline(session.lines, version.rounds)).most,
  }));
  const { placed, ticks } = layRibbon(timed, facts.waking, layout.busy, layout.plan);
  const labels = new Map(timed.map(({ key, label }) => [key, label]));
  const done = new Set(
    (facts.done.get(date)?.sessions ?? [])
      .filter(({ share }) => share >= SESSION_DONE_FROM)
      .map(({ key }) => key),
  );
  return [
    ...placed.map(({ key, from, to }) => ({
      key,
      kind: 'session' as const,
      label: labels.get(key) ?? '',
      at: from,
      minutes: to - from,
      done: done.has(key),
    })),
    ...ticks.map(({ key, at }) => ({
      key,
      kind: 'posture' as const,
      label: labels.get(key) ?? '',
      at,
      minutes: 1,
      done: done.has(key),
    })),
  ].sort((a, b) => a.at - b.at);
}
