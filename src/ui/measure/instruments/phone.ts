import { type Orientation, tiltFrom } from '@/core/instruments';
import { seconds } from '@/core/units';
import type { Instrument } from './instrument';

/** How long the first event may take, milliseconds. A computer without a sensor sends none. */
const FIRST_EVENT_MS = 2500;

type AskingEvent = { requestPermission?: () => Promise<'granted' | 'denied'> };

/** The phone's own orientation sensor as inclinometer (W3C DeviceOrientation), zeroed at neutral. */
export const PHONE_SENSOR: Instrument = {
  name: 'phone sensor',
  unit: '°',
  async connect(listen) {
    if (typeof DeviceOrientationEvent === 'undefined')
      throw new Error('This device has no orientation sensor. Use another instrument.');
    // Some phones ask the person first, and only within a press of a button.
    const ask = (DeviceOrientationEvent as unknown as AskingEvent).requestPermission;
    if (ask && (await ask()) !== 'granted')
      throw new Error('The phone did not allow its sensor. Allow motion access, then try again.');
    return new Promise((resolve, reject) => {
      const begun = performance.now();
      let zero: Orientation | null = null;
      let now: Orientation | null = null;
      const onTurn = (event: DeviceOrientationEvent) => {
        if (event.beta === null || event.gamma === null) return;
        now = { alpha: event.alpha ?? 0, beta: event.beta, gamma: event.gamma };
        if (zero === null) {
          zero = now;
          clearTimeout(patience);
          resolve(connection);
        }
      };
      // Events come only when something changes, so a still phone is read again and again.
      const timer = setInterval(() => {
        if (zero === null || now === null) return;
        const at = seconds((performance.now() - begun) / 1000);
        listen({ type: 'reading', reading: { at, value: tiltFrom(zero, now) } });
      }, 50);
      const disconnect = () => {
        clearInterval(timer);
        window.removeEventListener('deviceorientation', onTurn);
      };
      const connection = {
        zero: () => {
          zero = now;
        },
        disconnect,
      };
      const patience = setTimeout(() => {
        disconnect();
        reject(
          new Error(
            'No sensor answers here. Open this page on a phone, or use another instrument.',
          ),
        );
      }, FIRST_EVENT_MS);
      window.addEventListener('deviceorientation', onTurn);
    });
  },
};
