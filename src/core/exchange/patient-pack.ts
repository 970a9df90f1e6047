import type { BoutMode, DirectionName, Dose, DoseSign, Sides } from '../dose';
import type { Position } from '../exercise';
import type { Figure } from '../figure';
import type { CountedSet } from '../history';
import type { HowMany } from '../progression';
import type { Asked } from '../records';
import type { SymptomBaseline } from '../symptoms';
import type { EpisodeId, LocalDate, Range, Seconds, PatientId } from '../units';

/** The pack's own format; the device drops a pack of another one. */
export const PACK_FORMAT = 3;

/** Where a drawing is, and its shape before it has come. */
export type PackPicture = {
  readonly address: string;
  readonly width: number;
  readonly height: number;
};

/** One exercise of a session, worded for the patient. */
export type PackLine = {
  readonly lineage: string;
  readonly name: string;
  /** The complaint it is for, where more than one is treated; left out where one is. */
  readonly complaint?: string;
  readonly steps: readonly string[];
  readonly cues: readonly string[];
  readonly needs: string;
  /** What of its set-up was measured for this patient, in words; left out of packs of before. */
  readonly setUp?: readonly string[];
  /** What should be felt, what is normal, and what to stop for; empty where nothing is written. */
  readonly feel?: string;
  readonly normal?: string;
  readonly stop?: string;
  /** The dose in plain words. */
  readonly words: string;
  /** The same without when it is done, which the day says by its sessions; left out of packs of before. */
  readonly how?: string;
  /** The same in the clinic's language, while nobody has checked the patient's; else left out. */
  readonly beside?: string;
  readonly dose: Dose;
  /** What is done on each side, in full; left out of packs of before, null without sides. */
  readonly sides?: Sides | null;
  /** Its directions by name, in the order they come; empty or left out where they have none. */
  readonly directions?: readonly DirectionName[];
  readonly mode: BoutMode;
  readonly position: Position;
  /** What is asked after each set; null or left out where the player's own count is enough. */
  readonly howMany?: HowMany | null;
  /** The newest counts of its sets, which the question offers first. */
  readonly lastCounted?: readonly CountedSet[];
  readonly lastMax?: number | null | undefined;
  /** Share of today's due done so far, 0–1, as the clinic knows it. */
  readonly share: number;
  /** What goes with the player: the poses, moved on the device. Null for an exercise without a drawing. */
  readonly figure: Figure | null;
  /** The exercise's still; null for one without a drawing. */
  readonly picture: PackPicture | null;
  /** The side the still is drawn for, in words; empty or left out where it has none. */
  readonly drawnSide?: string;
  /** The dose as signs beside the drawing; left out of packs of before. */
  readonly signs?: readonly DoseSign[];
  /** Photos of this patient's own set-up; left out of packs of before. */
  readonly photos?: readonly PackPicture[];
  /** The drawing in words. */
  readonly description: string;
};

export type PackSession = {
  readonly key: string;
  readonly label: string;
  readonly time: Range<Seconds>;
  /** Minute of the wall clock at which the day ribbon lays it; null where it finds no room. */
  readonly at: number | null;
  /** Indexes into the pack's lines. */
  readonly lines: readonly number[];
  readonly done: boolean;
};

/** One day of the programme, as the device needs it without a signal. */
export type PackDay = {
  readonly date: LocalDate;
  /** Its end with the patient, milliseconds since 1970; left out of packs of before. */
  readonly until?: number;
  readonly dateText: string;
  readonly paused: 'no' | 'by the clinic' | 'by you' | 'after a stop';
  readonly programme: {
    readonly id: string;
    readonly version: number;
    readonly rounds: number;
  } | null;
  readonly sessions: readonly PackSession[];
  /**
   * What each beat of its resets is called, by the minutes between two of them: a phone that says a
   * number by itself waits for it. Left out where there are none, and of packs of before.
   */
  readonly beats?: Readonly<Record<number, string>>;
  /** Sessions a patient may add when needed; never due. */
  readonly extra: PackSession | null;
  /** Why nothing is due, when nothing is. */
  readonly restText: string;
};

/** A number or a word that the clinic lacks, and the exercise it is about. */
export type PackAsk = { readonly what: Exclude<Asked, 'weights'>; readonly line: string };

/** What the device asks about, and only that: never what nobody reads. */
export type PackQuestions = {
  /** The morning after the last sessions was not told of yet: was there any trouble? */
  readonly morning: boolean;
  /** The day of those sessions; null where nothing is asked, left out of packs of before. */
  readonly morningOf?: LocalDate | null;
  /** What the clinic asks for beside; left out of packs of before. */
  readonly asks?: readonly PackAsk[];
  /** The day's own entry is not there yet. */
  readonly daily: boolean;
  /** Complaints whose worst pain is asked of each; left out where one is treated. */
  readonly complaints?: readonly { readonly id: EpisodeId; readonly name: string }[];
  /** A limb is part of the complaint: how far down? */
  readonly limb: boolean;
  readonly headache: boolean;
  /** Activities to score this week; empty when done or none were named. */
  readonly activities: readonly string[];
  /** The clinic asked for a side photo. */
  readonly photo: boolean;
};

/** Whom a patient calls, and who hears of what they tell. What is left out is not known. */
export type PackClinic = {
  readonly name: string;
  readonly phone: string;
  readonly emergencyText: string;
  /** Dialled by one touch; left out where the clinic set none: then its words stand alone. */
  readonly emergencyNumber?: string;
  /** Whom to call while the clinic is closed, where that is another number. */
  readonly afterHoursPhone?: string;
  /** Times of the coming days in which it answers, milliseconds since 1970. */
  readonly open?: readonly { readonly from: number; readonly to: number }[];
  /** How a moment of each day of the week is said in the patient's language; stands beside those times. */
  readonly week?: readonly string[];
  /** Who reads what is told, and when, in the clinic's own words. */
  readonly readsReports?: string;
};

/**
 * Everything the patient's page needs, in one document, so that it can live on the device.
 * The player builds its segments from the doses with the same function that told the time.
 */
export type PatientPack = {
  readonly format: typeof PACK_FORMAT;
  readonly patientId: PatientId;
  readonly name: string;
  readonly clinic: PackClinic;
  /** The health questions wait to be answered. */
  readonly asksHealth: boolean;
  /** When the patient is seen next, in words; empty where nothing is agreed, left out of packs of before. */
  readonly nextVisit?: string;
  /** Who answers while the patient's practitioner is away; empty where nobody is, left out of packs of before. */
  readonly cover?: string;
  readonly zone: string;
  /** The clinic's clock when this was made: what a phone whose own clock is wrong goes by. */
  readonly at: number;
  readonly lines: readonly PackLine[];
  /** Today and the next seven days, in order. */
  readonly days: readonly [PackDay, ...PackDay[]];
  readonly baseline: SymptomBaseline;
  readonly questions: PackQuestions;
  readonly stopSigns: readonly string[];
  readonly normalSigns: string;
  readonly caution: string;
  /** What keeps the patient safe in the clinic's language, while nobody has checked theirs; else left out. */
  readonly beside?: PackBeside;
  /** BCP 47 tag of every text in here. */
  readonly language: string;
  /** The texts of the screens beyond the first, as the device's i18n takes them. */
  readonly texts: Readonly<Record<string, unknown>>;
};

/** Words of the clinic's language that stand beside a translation nobody of the clinic has checked. */
export type PackBeside = {
  /** BCP 47. */
  readonly language: string;
  readonly stopSigns: readonly string[];
  /** What is an emergency. */
  readonly emergency: string;
};

/** What the first screen shows of a line. */
export type ShownLine = Pick<
  PackLine,
  | 'lineage'
  | 'name'
  | 'complaint'
  | 'words'
  | 'how'
  | 'beside'
  | 'share'
  | 'picture'
  | 'drawnSide'
  | 'signs'
>;

/** The first screen's part of the pack: the page carries it, and fetches the rest when it has woken up. */
export type ShownPack = Omit<PatientPack, 'lines' | 'texts'> & {
  readonly lines: readonly ShownLine[];
};

/** The part of a pack that shows its first day. */
export function shownPack({ texts: _, lines, days, ...pack }: PatientPack): ShownPack {
  const [first] = days;
  const used = [...first.sessions, ...(first.extra ? [first.extra] : [])].flatMap((s) => s.lines);
  return {
    ...pack,
    days: [first],
    // Places in the list stay what they were.
    lines: lines
      .slice(0, Math.max(-1, ...used) + 1)
      .map(
        ({ lineage, name, complaint, words, how, beside, share, picture, drawnSide, signs }) => ({
          ...(complaint === undefined ? {} : { complaint }),
          ...(how === undefined ? {} : { how }),
          ...(beside === undefined ? {} : { beside }),
          ...(drawnSide === undefined ? {} : { drawnSide }),
          ...(signs === undefined ? {} : { signs }),
          lineage,
          name,
          words,
          share,
          picture,
        }),
      ),
  };
}

/**
 * Which of a pack's days it is at a moment, by where its days end: no calendar need be asked, whose first
 * answer costs a phone a fifth of a second.
 *
 * @param at milliseconds since 1970
 * @returns null before the pack was made, after its last day, and where it does not say when its days end
 * @example a pack made at 09:00 whose first day ends at midnight: its first date at 23:59, its second after
 */
export function dateByPack(pack: Pick<PatientPack, 'days' | 'at'>, at: number): LocalDate | null {
  if (at < pack.at || pack.days.some(({ until }) => until === undefined)) return null;
  return pack.days.find(({ until = 0 }) => at < until)?.date ?? null;
}

/** The pack's day of a date; null when it does not reach that far. */
export function dayOfPack(pack: Pick<PatientPack, 'days'>, date: string): PackDay | null {
  return pack.days.find((day) => day.date === date) ?? null;
}
