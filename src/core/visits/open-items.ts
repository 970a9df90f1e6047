import { type LocalDate, daysBetween } from '../units';
import { daySaid } from './day-said';

/** Where something open is dealt with. */
export type OpenAt =
  | 'screen'
  | 'measure'
  | 'plan'
  | 'teach'
  | 'note'
  | 'follow'
  | 'review'
  | 'papers';
export type OpenItem = { readonly say: string; readonly at: OpenAt };

/** What may be open in a file. */
export type OpenFacts = {
  readonly today: LocalDate;
  readonly alerts: number;
  /** Screening answers of the patient's own that wait for a practitioner. */
  readonly answersWait: boolean;
  readonly openReferrals: number;
  /** Papers that came in and that no practitioner has read. */
  readonly unreadPapers: number;
  readonly proposals: number;
  /** Findings proposed and neither taken nor dismissed. */
  readonly findings: number;
  readonly unsignedNote: boolean;
  readonly unsignedTeaching: boolean;
  readonly reviewOn: LocalDate | null;
  readonly programme: boolean;
  readonly linkOpened: boolean;
};

const counted = (count: number, one: string, many: string) =>
  count === 1 ? `1 ${one}` : `${count} ${many}`;

/** What is open in a file, what cannot wait first; empty where nothing is. */
export function openItems(facts: OpenFacts): OpenItem[] {
  const { today, alerts, openReferrals, proposals, findings, reviewOn } = facts;
  const items: (OpenItem | false)[] = [
    alerts > 0 && {
      say: `${counted(alerts, 'thing the phone told is', 'things the phone told are')} not acknowledged`,
      at: 'follow',
    },
    facts.answersWait && { say: 'Screening answers wait to be confirmed', at: 'screen' },
    openReferrals > 0 && {
      say: `${counted(openReferrals, 'referral has', 'referrals have')} no answer yet`,
      at: 'screen',
    },
    facts.unreadPapers > 0 && {
      say: `${counted(facts.unreadPapers, 'paper that came in is', 'papers that came in are')} not read`,
      at: 'papers',
    },
    proposals > 0 && {
      say: `${counted(proposals, 'proposal waits', 'proposals wait')} for a decision`,
      at: 'follow',
    },
    reviewOn !== null &&
      reviewOn <= today && {
        say:
          reviewOn === today
            ? 'The review is due today'
            : `The review was due ${daySaid(reviewOn, today)}, ${counted(daysBetween(reviewOn, today), 'day', 'days')} ago`,
        at: 'review',
      },
    findings > 0 && {
      say: `${counted(findings, 'finding is', 'findings are')} proposed`,
      at: 'measure',
    },
    facts.unsignedNote && { say: 'A note is begun and not signed', at: 'note' },
    facts.unsignedTeaching && { say: 'A teaching is begun and not signed', at: 'teach' },
    !facts.programme && { say: 'No programme is written', at: 'plan' },
    facts.programme &&
      !facts.linkOpened && { say: 'The link was not opened on a phone', at: 'plan' },
  ];
  return items.filter((item) => item !== false);
}
