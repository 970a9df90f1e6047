import type { PushDraft } from '@/core/records';

/**
 * Asks the browser for notices of this clinic on this phone.
 *
 * @param key the clinic's public key
 * @returns where they are taken; null where the browser, or the person, does not allow it
 */
export async function subscribeHere(key: string): Promise<PushDraft | null> {
  try {
    if ((await Notification.requestPermission()) !== 'granted') return null;
    const worker = await navigator.serviceWorker.register('/api/v1/patient/worker', {
      scope: '/today',
    });
    const asked = await worker.pushManager.subscribe({
      userVisibleOnly: true,
      applicationServerKey: key,
    });
    const { endpoint, keys } = asked.toJSON();
    return endpoint && keys?.p256dh && keys.auth
      ? { endpoint, p256dh: keys.p256dh, auth: keys.auth }
      : null;
  } catch {
    return null;
  }
}
