import type { Reading } from '@/core/instruments';
import { STOPWATCH, benchState, playTrial, setBench, simulated, watchBench } from './bench';
import type { InstrumentEvent } from './instrument';
import { PHONE_SENSOR } from './phone';

beforeEach(() => jest.useFakeTimers({ advanceTimers: false }));
afterEach(() => jest.useRealTimers());

function collector() {
  const events: InstrumentEvent[] = [];
  const readings = (): Reading[] =>
    events.flatMap((event) => (event.type === 'reading' ? [event.reading] : []));
  return { events, readings, listen: (event: InstrumentEvent) => events.push(event) };
}

describe('the bench', () => {
  afterEach(() => setBench('inclinometer', { truth: 0, inReach: true }));

  it('reads the truth with noise, and drops some readings', async () => {
    const told = collector();
    setBench('inclinometer', { truth: 30 });
    const connection = await simulated('inclinometer').connect(told.listen);
    jest.advanceTimersByTime(10_000);
    connection.disconnect();
    const values = told.readings().map(({ value }) => value);
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    expect(mean).toBeCloseTo(30, 0);
    expect(new Set(values).size).toBeGreaterThan(100);
    expect(values.length).toBeLessThan(200);
    expect(values.length).toBeGreaterThan(180);
    jest.advanceTimersByTime(1000);
    expect(told.readings()).toHaveLength(values.length);
  });

  it('is zeroed where it stands', async () => {
    const told = collector();
    setBench('inclinometer', { truth: 12 });
    const connection = await simulated('inclinometer').connect(told.listen);
    connection.zero();
    setBench('inclinometer', { truth: 52 });
    jest.advanceTimersByTime(200);
    expect(told.readings()[0]?.value).toBeCloseTo(40, -1);
    connection.disconnect();
  });

  it('tells that the signal was lost and came back, and sends nothing meanwhile', async () => {
    const told = collector();
    const connection = await simulated('inclinometer').connect(told.listen);
    jest.advanceTimersByTime(200);
    setBench('inclinometer', { inReach: false });
    jest.advanceTimersByTime(1000);
    const silent = told.readings().length;
    setBench('inclinometer', { inReach: true });
    jest.advanceTimersByTime(200);
    connection.disconnect();
    expect(told.events.filter(({ type }) => type === 'lost')).toHaveLength(1);
    expect(told.events.filter(({ type }) => type === 'back')).toHaveLength(1);
    expect(told.readings().length).toBeGreaterThan(silent);
    expect(told.events[0]).toEqual({ type: 'battery', percent: 80 });
  });

  it('cannot be connected out of reach, and says so', async () => {
    setBench('inclinometer', { inReach: false });
    await expect(simulated('inclinometer').connect(() => undefined)).rejects.toThrow(
      'out of reach',
    );
  });

  it('plays a trial up, held, and down again, and tells whoever watches', () => {
    const seen: number[] = [];
    const stop = watchBench(() => seen.push(benchState('inclinometer').truth));
    playTrial('inclinometer', 60, 1);
    jest.advanceTimersByTime(1500);
    expect(benchState('inclinometer').truth).toBe(60);
    jest.advanceTimersByTime(2000);
    expect(benchState('inclinometer').truth).toBe(0);
    stop();
    expect(Math.max(...seen)).toBe(60);
  });
});

it('the stopwatch counts seconds from its start or its zero', async () => {
  const told = collector();
  const connection = await STOPWATCH.connect(told.listen);
  jest.advanceTimersByTime(12_000);
  expect(told.readings().at(-1)?.value).toBeCloseTo(12, 0);
  connection.zero();
  jest.advanceTimersByTime(1000);
  expect(told.readings().at(-1)?.value).toBeCloseTo(1, 0);
  connection.disconnect();
});

describe('the phone’s sensor', () => {
  const globals = globalThis as unknown as Record<string, unknown>;
  const listeners = new Set<(event: unknown) => void>();
  const turn = (beta: number | null, gamma = 0) =>
    listeners.forEach((listener) => listener({ alpha: 5, beta, gamma }));

  beforeEach(() => {
    globals.window = {
      addEventListener: (_name: string, listener: (event: unknown) => void) =>
        listeners.add(listener),
      removeEventListener: (_name: string, listener: (event: unknown) => void) =>
        listeners.delete(listener),
    };
    globals.DeviceOrientationEvent = function DeviceOrientationEvent() {};
  });
  afterEach(() => {
    listeners.clear();
    delete globals.window;
    delete globals.DeviceOrientationEvent;
  });

  it('reads the tilt from where it was connected, or zeroed', async () => {
    const told = collector();
    const connecting = PHONE_SENSOR.connect(told.listen);
    turn(20);
    const connection = await connecting;
    turn(50);
    jest.advanceTimersByTime(100);
    expect(told.readings().at(-1)?.value).toBeCloseTo(30, 6);
    connection.zero();
    turn(35);
    jest.advanceTimersByTime(100);
    expect(told.readings().at(-1)?.value).toBeCloseTo(15, 6);
    connection.disconnect();
    expect(listeners.size).toBe(0);
  });

  it('says so where nothing answers, where there is none, and where it was not allowed', async () => {
    const silent = expect(PHONE_SENSOR.connect(() => undefined)).rejects.toThrow(
      'No sensor answers here',
    );
    turn(null);
    jest.advanceTimersByTime(3000);
    await silent;
    globals.DeviceOrientationEvent = Object.assign(() => undefined, {
      requestPermission: () => Promise.resolve('denied'),
    });
    await expect(PHONE_SENSOR.connect(() => undefined)).rejects.toThrow('did not allow');
    delete globals.DeviceOrientationEvent;
    await expect(PHONE_SENSOR.connect(() => undefined)).rejects.toThrow('no orientation sensor');
  });
});
