import { EVENTS_BODY_LIMIT } from '@/core/adherence';
import { EventsPosted } from '@/core/records';
import { originOf } from '../address';
import { carriedOut } from '../carried-out';
import { cookieOf, jarOf } from '../cookies';
import { LINK_GONE, Problem } from '../problem';
import { type Head, NO_STORE, checkIsRecord, recordOf, tooLarge } from '../sent';
import { takeIn } from '../take-in';
import { languageOn, patientOn } from './on-device';

/** A post of events before anything of it is read but its head. */
export type PostOfEvents = {
  readonly head: Head;
  /** Its whole body; `refusal` is thrown where more arrives than so many bytes. */
  readonly bytes: (limit: number, refusal: Error) => Promise<Buffer>;
  /** Whether whoever asked does not wait any more. */
  readonly hasLeft: () => boolean;
};

/** An answer that needs no framework to be sent. */
export type PlainAnswer = {
  readonly status: number;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string;
};

const PATH = '/api/v1/patient/events';

/**
 * Answers a phone that posts events: as every write of ours, from our own pages only, of a bounded size, the
 * right person, a valid record, then the work; a refusal is a sentence in the patient's language. It stands
 * apart from other handlers since two hundred phones post at once: the server of scripts/serve asks it before
 * the framework is asked anything (docs/decisions/0089-events-before-the-framework.md).
 */
export async function answerEvents({ head, bytes, hasLeft }: PostOfEvents): Promise<PlainAnswer> {
  const here = () => patientOn(cookieOf(jarOf(head.get('cookie')), 'patient'));
  const answer = await carriedOut(
    { head, path: PATH, own: originOf(head), hasLeft },
    async () => {
      const patient = await here();
      if (!patient) throw new Problem(401, LINK_GONE);
      checkIsRecord(head, EVENTS_BODY_LIMIT);
      const sent = await bytes(EVENTS_BODY_LIMIT, tooLarge(EVENTS_BODY_LIMIT));
      return takeIn(patient, recordOf(EventsPosted, sent));
    },
    () => languageOn(here, () => head.get('accept-language')),
  );
  return 'done' in answer
    ? answered(200, { ok: true, value: answer.done })
    : answered(answer.refused.status, answer.refused.body);
}

function answered(status: number, value: unknown): PlainAnswer {
  return {
    status,
    headers: { ...NO_STORE, 'Content-Type': 'application/json' },
    body: JSON.stringify(value),
  };
}
