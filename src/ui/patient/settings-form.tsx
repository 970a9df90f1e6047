'use client';

import { clockText, clockMinute } from '@/core/units';
import { type FormEvent, type ReactNode, useEffect, useState } from 'react';
import type { PatientWord } from '@/catalogue';
import type { RemindersBody } from '@/core/records';
import { newId } from '../forms/new-id';
import { useSending } from '../forms/use-sending';
import { Refusal } from '../forms/refusal';
import { BeginButton } from './begin-button';
import { CalendarBox } from './calendar-box';
import { CHANNELS } from '@/core/reminders';
import { subscribeHere } from './subscribe-here';
import { askToNotify, wantsNotifications } from './local-reminders';
import {
  type Preferences,
  TEXT_SIZES,
  type TextSize,
  USUAL,
  keepPreferences,
  preferences,
  setTextSize,
  textSize,
} from './preferences';
import { useSay } from './say';
import { SoundChoices } from './sound-choices';
import { TellBox } from './tell-box';
import { Form } from '../forms/form';

type Settings = {
  readonly minutesADay: number | null;
  readonly wakeMinute: number;
  readonly sleepMinute: number;
  readonly props: readonly string[];
  readonly asked: readonly string[];
  readonly language: string;
  /** What can be chosen; the choice is shown only where there is one. */
  readonly languages: readonly { readonly tag: string; readonly name: string }[];
  readonly reminders: RemindersBody;
  /** The clinic's key for notices to phones; null where it sends none. */
  readonly pushKey: string | null;
};

const INPUT = 'min-h-12 w-full min-w-0 rounded border border-edge bg-sheet px-3';
/** The patient's own settings: the day, the home, reminders, the calendar, and this phone. */
export function SettingsForm({ start }: { start: Settings }) {
  const say = useSay();
  const [settings, setSettings] = useState(start);
  const { busy, sending } = useSending();
  const [saved, setSaved] = useState(false);
  const [refusal, setRefusal] = useState('');
  const { reminders } = settings;
  const set = (change: Partial<Settings>) => {
    setSaved(false);
    setSettings({ ...settings, ...change });
  };
  const remind = (change: Partial<RemindersBody>) =>
    set({ reminders: { ...reminders, ...change } });

  async function save(event: FormEvent) {
    event.preventDefault();
    setRefusal('');
    const { minutesADay, wakeMinute, sleepMinute, props, language, pushKey } = settings;
    if (reminders.channel === 'push' && (reminders.sessions || reminders.posture) && pushKey) {
      const here = await subscribeHere(pushKey);
      if (!here) return setRefusal(say('settings.remind.pushDenied'));
      const kept = await sending('/api/v1/patient/push', here);
      if (!kept) return;
      if (!kept.ok) return setRefusal(kept.say);
    }
    const answer = await sending('/api/v1/patient/settings', {
      id: newId(),
      minutesADay,
      wakeMinute,
      sleepMinute,
      props,
      language,
      reminders,
    });
    if (!answer) return;
    setSaved(answer.ok);
    if (!answer.ok) setRefusal(answer.say);
    // Every text of the page is another then.
    else if (language !== start.language) location.reload();
  }

  return (
    <>
      <TextSizes />
      <Sound />
      <Notify />
      <Form className="grid grid-cols-1 gap-5" onSubmit={save}>
        {settings.languages.length > 1 && (
          <Labelled label={say('settings.language')}>
            <select
              value={settings.language}
              onChange={(event) => set({ language: event.target.value })}
              className={`${INPUT}`}
            >
              {settings.languages.map(({ tag, name }) => (
                <option key={tag} value={tag} lang={tag}>
                  {name}
                </option>
              ))}
            </select>
          </Labelled>
        )}
        <h2 className="text-xl">{say('settings.day')}</h2>
        <Labelled label={say('settings.minutes')}>
          <input
            type="number"
            inputMode="numeric"
            min={1}
            max={240}
            value={settings.minutesADay ?? ''}
            onChange={(event) =>
              set({ minutesADay: event.target.value === '' ? null : Number(event.target.value) })
            }
            className={INPUT}
          />
        </Labelled>
        {(['wake', 'sleep'] as const).map((end) => (
          <Labelled key={end} label={say(`settings.${end}`)}>
            <input
              type="time"
              required
              value={clockText(settings[`${end}Minute`])}
              onChange={(event) => set({ [`${end}Minute`]: clockMinute(event.target.value) })}
              className={INPUT}
            />
          </Labelled>
        ))}
        <fieldset className="grid gap-1">
          <legend className="pb-1 font-semibold">{say('settings.props')}</legend>
          {settings.asked.map((prop) => (
            <Check
              key={prop}
              on={settings.props.includes(prop)}
              onChange={(on) =>
                set({
                  props: on
                    ? [...settings.props, prop]
                    : settings.props.filter((one) => one !== prop),
                })
              }
            >
              {say(`prop.${prop}` as PatientWord)}
            </Check>
          ))}
        </fieldset>
        <fieldset className="grid min-w-0 grid-cols-1 gap-2">
          <legend className="pb-1 text-xl font-semibold">{say('settings.remind')}</legend>
          {(['sessions', 'posture'] as const).map((kind) => (
            <Check key={kind} on={reminders[kind]} onChange={(on) => remind({ [kind]: on })}>
              {say(`settings.remind.${kind}`)}
            </Check>
          ))}
          <Labelled label={say('settings.remind.channel')}>
            <select
              value={reminders.channel}
              onChange={(event) =>
                remind({ channel: event.target.value as RemindersBody['channel'] })
              }
              className={INPUT}
            >
              {CHANNELS.filter(
                (channel) =>
                  channel !== 'push' || settings.pushKey !== null || reminders.channel === 'push',
              ).map((channel) => (
                <option key={channel} value={channel}>
                  {say(`settings.remind.${channel}`)}
                </option>
              ))}
            </select>
          </Labelled>
          {reminders.channel !== 'push' && (
            <Labelled label={say('settings.remind.address')}>
              <input
                value={reminders.address}
                maxLength={200}
                autoComplete={reminders.channel === 'text' ? 'tel' : 'email'}
                onChange={(event) => remind({ address: event.target.value })}
                className={INPUT}
              />
            </Labelled>
          )}
          <div className="grid gap-3 min-[26rem]:grid-cols-2">
            {(['from', 'to'] as const).map((end) => (
              <Labelled
                key={end}
                label={say(end === 'from' ? 'settings.remind.quiet' : 'settings.remind.and')}
              >
                <input
                  type="time"
                  required
                  value={clockText(reminders.quiet[end])}
                  onChange={(event) =>
                    remind({
                      quiet: { ...reminders.quiet, [end]: clockMinute(event.target.value) },
                    })
                  }
                  className={INPUT}
                />
              </Labelled>
            ))}
          </div>
        </fieldset>
        <Refusal say={refusal} />
        <BeginButton type="submit" disabled={busy}>
          {say('settings.save')}
        </BeginButton>
        <p role="status">{saved && say('settings.saved')}</p>
      </Form>
      <CalendarBox />
      <TellBox />
    </>
  );
}

function TextSizes() {
  const say = useSay();
  const [size, setSize] = useState<TextSize>('normal');
  useEffect(() => setSize(textSize()), []);
  return (
    <fieldset className="grid min-w-0 grid-cols-1 gap-2">
      <legend className="pb-1 text-xl font-semibold">
        {say('settings.device')}: {say('settings.text')}
      </legend>
      {TEXT_SIZES.map((one) => (
        <label key={one} className="flex min-h-11 items-center gap-3">
          <input
            type="radio"
            name="text"
            checked={size === one}
            onChange={() => {
              setSize(one);
              setTextSize(one);
            }}
            className="size-5 shrink-0 accent-action"
          />
          {say(`settings.text.${one}`)}
        </label>
      ))}
    </fieldset>
  );
}

/** The player's sound on this phone; the same can be changed while it plays. */
function Sound() {
  const say = useSay();
  const [chosen, setChosen] = useState<Preferences | null>(null);
  useEffect(() => setChosen(preferences()), []);
  return (
    <fieldset className="grid min-w-0 grid-cols-1 gap-2">
      <legend className="pb-1 text-xl font-semibold">
        {say('settings.device')}: {say('player.options')}
      </legend>
      <SoundChoices
        chosen={chosen ?? USUAL}
        onChoose={(change) => {
          const next = { ...(chosen ?? USUAL), ...change };
          setChosen(next);
          keepPreferences(next);
        }}
      />
    </fieldset>
  );
}

/** Reminders of the phone itself, where its browser allows them. */
function Notify() {
  const say = useSay();
  const [on, setOn] = useState(false);
  const [denied, setDenied] = useState(false);
  useEffect(() => setOn(wantsNotifications()), []);
  return (
    <div>
      <Check
        on={on}
        onChange={(wanted) =>
          void askToNotify(wanted).then((allowed) => {
            setOn(allowed);
            setDenied(wanted && !allowed);
          })
        }
      >
        {say('settings.notify')}
      </Check>
      <p role="status">{denied && say('settings.notify.denied')}</p>
    </div>
  );
}

function Labelled({ label, children }: { label: string; children: ReactNode }) {
  return (
    <label className="grid min-w-0 grid-cols-1 gap-1">
      {label}
      {children}
    </label>
  );
}

function Check({
  on,
  onChange,
  children,
}: {
  on: boolean;
  onChange: (on: boolean) => void;
  children: ReactNode;
}) {
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
        className="size-5 shrink-0 accent-action"
      />
      {children}
    </label>
  );
}
