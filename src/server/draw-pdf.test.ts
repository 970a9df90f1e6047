import { EventEmitter } from 'node:events';
import type { PdfOrder } from '@/pdf/order';
import { LONGEST_MS, drawPdf } from './draw-pdf';

/** A thread that answers when the test says so. */
class Thread extends EventEmitter {
  readonly orders: PdfOrder[] = [];
  ended = false;
  postMessage(order: PdfOrder): void {
    this.orders.push(order);
  }
  ref(): void {
    // Nothing keeps this process.
  }
  unref(): void {
    // Nothing keeps this process.
  }
  terminate(): Promise<number> {
    this.ended = true;
    return Promise.resolve(1);
  }
}
const threads: Thread[] = [];
jest.mock('@/pdf/thread', () => ({
  pdfThread: () => {
    const thread = new Thread();
    threads.push(thread);
    return thread;
  },
}));

jest.mock('./log', () => ({ logError: () => undefined }));

const order = (name: string) => ({ kind: 'letter', letter: { name }, paper: 'a4' }) as never;
const bytes = (value: number) => new Uint8Array([value]);
const settled = () => new Promise((resolve) => setImmediate(resolve));
const asked = (name: string, signal = new AbortController().signal) => ({ for: name, signal });
const newest = () => threads.at(-1)!;

beforeEach(() => {
  threads.length = 0;
  (globalThis as unknown as Record<symbol, unknown>)[Symbol.for('dry-lantern.pdf')] = undefined;
});

describe('a sheet', () => {
  it('is drawn one after the other by one thread, which is kept for the next', async () => {
    const first = drawPdf(order('first'), asked('one'));
    const second = drawPdf(order('second'), asked('two'));
    expect(threads).toHaveLength(1);
    expect(newest().orders).toEqual([order('first')]);
    newest().emit('message', { bytes: bytes(1) });
    expect(await first).toEqual(bytes(1));
    await settled();
    expect(newest().orders).toEqual([order('first'), order('second')]);
    newest().emit('message', { bytes: bytes(2) });
    expect(await second).toEqual(bytes(2));
    expect(threads).toHaveLength(1);
    expect(newest().ended).toBe(false);
  });

  it('is given up when nobody waits for it any more, before and while it is drawn', async () => {
    const [here, waiting] = [new AbortController(), new AbortController()];
    const first = drawPdf(order('first'), asked('one', here.signal));
    const second = drawPdf(order('second'), asked('one', waiting.signal));
    waiting.abort();
    here.abort();
    await expect(first).rejects.toMatchObject({ status: 503 });
    expect(threads[0]?.ended).toBe(true);
    await expect(second).rejects.toMatchObject({ status: 503 });
    // A thread that was ended is not used again.
    const third = drawPdf(order('third'), asked('one'));
    await settled();
    expect(newest()).not.toBe(threads[0]);
    newest().emit('message', { bytes: bytes(3) });
    expect(await third).toEqual(bytes(3));
  });

  it('is given up when it takes too long', async () => {
    jest.useFakeTimers({ doNotFake: ['setImmediate'] });
    const first = drawPdf(order('first'), asked('one'));
    jest.advanceTimersByTime(LONGEST_MS - 1);
    expect(newest().ended).toBe(false);
    jest.advanceTimersByTime(1);
    await expect(first).rejects.toMatchObject({ status: 503 });
    expect(newest().ended).toBe(true);
    jest.useRealTimers();
  });

  it('that cannot be drawn says so, and the next is drawn', async () => {
    const first = drawPdf(order('first'), asked('one'));
    newest().emit('message', { failed: 'TypeError' });
    await expect(first).rejects.toMatchObject({ status: 500 });
    const second = drawPdf(order('second'), asked('one'));
    await settled();
    // Its thread ran out of memory.
    newest().emit('error', new Error('ERR_WORKER_OUT_OF_MEMORY'));
    await expect(second).rejects.toMatchObject({ status: 500 });
    const third = drawPdf(order('third'), asked('one'));
    await settled();
    expect(threads).toHaveLength(2);
    newest().emit('exit', 1);
    await expect(third).rejects.toMatchObject({ status: 500 });
  });

  it('waits with at most twenty others', async () => {
    const all = Array.from({ length: 21 }, (_, n) => drawPdf(order(String(n)), asked(String(n))));
    await expect(drawPdf(order('more'), asked('x'))).rejects.toMatchObject({ status: 503 });
    for (let n = 0; n < all.length; n += 1) {
      newest().emit('message', { bytes: bytes(n) });
      await settled();
    }
    expect((await Promise.all(all)).at(-1)).toEqual(bytes(20));
  });
});
