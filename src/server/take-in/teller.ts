import type { DeviceEvent, StoredEventBody, ToldHow } from '@/core/records';
import type { LocalDate, MemberId } from '@/core/units';
import type { Actor, Condition, Patient } from '@/db';

/** What became of a post. */
export type TakenIn = {
  /** Ids that are stored now, whether by this post or an earlier one. */
  readonly stored: readonly string[];
  /** Ids that were there with other content; theirs is kept aside for a person to look at. */
  readonly conflicts: readonly string[];
};

/** Whoever tells: a patient's device, or a member who writes down what a patient told. */
export type Teller = {
  readonly patient: Patient;
  /** What has to hold at the moment of the write. */
  readonly access: Condition;
  readonly actor: Actor;
  readonly verb: string;
  /** By whom, how and of which day it was written down; null where a device tells. */
  readonly written: { readonly by: MemberId; readonly how: ToldHow; readonly on: LocalDate } | null;
};

/** An event as it comes in: a device's, or one that only the clinic writes. */
export type ComingEvent = Omit<DeviceEvent, 'body'> & { readonly body: StoredEventBody };

/** Some events of one patient, and the clock of who sends them. */
export type Coming = { readonly sentAt: number; readonly events: readonly ComingEvent[] };

/** One post with who tells it. */
export type Post = { readonly teller: Teller; readonly coming: Coming };
