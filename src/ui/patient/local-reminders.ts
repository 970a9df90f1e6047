'use client';

import { useEffect } from 'react';
import type { PackDay, PatientPack } from '@/core/exchange';
import { useSay } from './say';

const KEY = 'dl-notify';

export function wantsNotifications(): boolean {
  try {
    return localStorage.getItem(KEY) === 'yes' && Notification.permission === 'granted';
  } catch {
    return false;
  }
}

/** Asks the browser; false where it, or the person, does not allow it. */
export async function askToNotify(on: boolean): Promise<boolean> {
  try {
    const allowed = on && (await Notification.requestPermission()) === 'granted';
    localStorage.setItem(KEY, allowed ? 'yes' : 'no');
    return allowed;
  } catch {
    return false;
  }
}

/** Shows a reminder by the page's worker, as phones want it, else by the page itself. */
async function notify(title: string, body: string): Promise<void> {
  try {
    const worker = await navigator.serviceWorker?.getRegistration('/today');
    if (worker?.active) await worker.showNotification(title, { body, tag: body });
    else new Notification(title, { body });
  } catch {
    // Shown by neither; the reminder by text or mail stays.
  }
}

/**
 * Reminds of the day's sessions that are still to come, by the phone itself and while the page is
 * open: nothing leaves the phone, and it says when, not what hurts.
 */
export function useLocalReminders(day: PackDay | null, pack: Pick<PatientPack, 'clinic'>): void {
  const say = useSay();
  useEffect(() => {
    if (!day || !wantsNotifications()) return;
    const now = new Date();
    const minute = now.getHours() * 60 + now.getMinutes();
    const timers = day.sessions
      .filter(({ at, done }) => at !== null && at > minute && !done)
      .map(({ at, label }) =>
        setTimeout(
          () => void notify(pack.clinic.name, say('today.remind', { session: label })),
          ((at ?? 0) - minute) * 60_000,
        ),
      );
    return () => timers.forEach(clearTimeout);
  }, [day, pack.clinic.name, say]);
}
