import type { ContactBody, NextVisitBody, VisitWay } from '@/core/records';
import type { LocalDate } from '@/core/units';
import type { OpenItem, VisitDeed } from '@/core/visits';

/** An episode of care as the first view names it. */
export type ShownEpisode = {
  readonly id: string;
  readonly complaint: string;
  readonly area: string | null;
  readonly openedOn: LocalDate;
  readonly closedOn: LocalDate | null;
};

export type ShownDay = {
  readonly id: string;
  readonly on: LocalDate;
  readonly way: VisitWay | null;
  readonly deeds: readonly VisitDeed[];
  readonly contacts: readonly {
    readonly id: string;
    readonly body: ContactBody;
    readonly by: string;
  }[];
};

/** What the first view of a file shows. */
export type ShownSummary = {
  readonly today: LocalDate;
  readonly episodes: readonly ShownEpisode[];
  readonly episode: ShownEpisode | null;
  readonly isOpen: boolean;
  readonly goals: readonly { readonly activity: string; readonly reachedOn: LocalDate | null }[];
  readonly daysIn: number | null;
  readonly doing: string | null;
  readonly helping: string | null;
  readonly open: readonly OpenItem[];
  readonly next: {
    readonly id: string;
    readonly on: LocalDate;
    readonly body: NextVisitBody;
  } | null;
  readonly timeline: readonly ShownDay[];
};
