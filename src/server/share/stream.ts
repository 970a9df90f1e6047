import { MINUTE_MS } from '@/core/units';
import { SHARE_BEAT_MS } from '@/core/share';
import { patientByDevice, seenShare, write } from '@/db';
import { type PatientHere, stillHolds } from '../access';
import { now } from '../clock';
import { logFailure } from '../problem';
import { messageOf, shareAsItStands } from './looking-on';
import { processWide } from '@/db/process-wide';

/** How often it is looked whether something changed, ms: one read by a key. */
const LOOK_MS = 300;
/** After so long a stream ends by itself, and the browser asks again, ms. */
const LONGEST_MS = 15 * MINUTE_MS;
/** Streams at once of one device: the oldest gives way. */
const MOST_OF_DEVICE = 2;
/** Streams open at once on this server; whoever comes then asks again. */
const MOST_OF_ALL = 300;

type End = () => void;

const streams = processWide<Map<string, End[]>>('streams');
/** The open streams by device, the oldest first. */
const open = () => (streams.value ??= watched());

function watched(): Map<string, End[]> {
  const streams = new Map<string, End[]>();
  // A server that is told to end does not wait for phones that look on.
  process.once('SIGTERM', () => [...streams.values()].flat().forEach((end) => end()));
  process.once('SIGINT', () => [...streams.values()].flat().forEach((end) => end()));
  return streams;
}

/** Whether one more phone can look on. */
export function streamsHaveRoom(): boolean {
  return [...open().values()].flat().length < MOST_OF_ALL;
}

/**
 * What the clinic shows this patient, as server-sent events (HTML living standard, 9.2): one whenever it
 * changes, and a beat now and then, so that a connection that broke is noticed on both sides. It ends
 * with the patient's link, after a while by itself, and when the phone leaves.
 */
export function shareStream(here: PatientHere): ReadableStream<Uint8Array> {
  const { patient, clinicId, tokenHash } = here;
  const encoder = new TextEncoder();
  let leave: End = () => undefined;
  return new ReadableStream<Uint8Array>({
    start(controller) {
      let told: string | null = null;
      let isShown = false;
      let isOpen = true;
      let timer: NodeJS.Timeout | undefined;
      let beatAt = 0;
      const until = now() + LONGEST_MS;
      const send = (text: string) => controller.enqueue(encoder.encode(text));
      leave = () => {
        if (!isOpen) return;
        isOpen = false;
        clearTimeout(timer);
        const left = (open().get(tokenHash) ?? []).filter((end) => end !== leave);
        if (left.length === 0) open().delete(tokenHash);
        else open().set(tokenHash, left);
        try {
          controller.close();
        } catch {
          // The phone has left already.
        }
      };
      const mine = [...(open().get(tokenHash) ?? []), leave];
      open().set(tokenHash, mine);
      mine.slice(0, -MOST_OF_DEVICE).forEach((end) => end());

      const look = async (): Promise<void> => {
        const at = now();
        if (at >= until) return leave();
        if (at - beatAt >= SHARE_BEAT_MS) {
          if (!(await patientByDevice(tokenHash, at))) return leave();
          send('event: beat\ndata: {}\n\n');
          beatAt = at;
          await write(() => [stillHolds(here), seenShare(clinicId, patient.id, at)]);
        }
        const { row, name } = await shareAsItStands(patient);
        if (name === told || !isOpen) return;
        told = name;
        const message = await messageOf(patient, row);
        // What had ended before this phone came is nothing that ends now.
        const isOld = message.kind === 'ended' && !isShown;
        isShown = message.kind === 'shown' || message.kind === 'between';
        send(`data: ${JSON.stringify(isOld ? { kind: 'nothing' } : message)}\n\n`);
      };
      const round = async () => {
        try {
          await look();
        } catch (error) {
          if (isOpen) logFailure('share', error);
          leave();
        }
        if (isOpen) timer = setTimeout(() => void round(), LOOK_MS);
      };
      send('retry: 2000\n\n');
      void round();
    },
    cancel: () => leave(),
  });
}
