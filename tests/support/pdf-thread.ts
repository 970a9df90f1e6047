import { EventEmitter } from 'node:events';
import { handoutPdf } from '@/pdf/handout-pdf';
import { letterPdf } from '@/pdf/letter-pdf';
import type { PdfOrder } from '@/pdf/order';

/** Stands in for the thread that draws sheets where nothing is built: it draws on the spot. */
class HereThread extends EventEmitter {
  postMessage(order: PdfOrder): void {
    const drawn =
      order.kind === 'handout'
        ? handoutPdf(order.handout, order.paper, order.large)
        : letterPdf(order.letter, order.texts, order.paper);
    void drawn.then((bytes) => this.emit('message', { bytes }));
  }
  ref(): void {
    // Nothing keeps the process.
  }
  unref(): void {
    // Nothing keeps the process.
  }
  terminate(): Promise<number> {
    return Promise.resolve(0);
  }
}

export const pdfThread = () => new HereThread();
