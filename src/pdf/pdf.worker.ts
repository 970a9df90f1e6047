import { parentPort } from 'node:worker_threads';
import { handoutPdf } from './handout-pdf';
import { letterPdf } from './letter-pdf';
import type { PdfAnswer, PdfOrder } from './order';

/** Draws sheets beside the server's event loop, one order after the other. */
parentPort?.on('message', (order: PdfOrder) => {
  void drawn(order).then((answer) => parentPort?.postMessage(answer));
});

async function drawn(order: PdfOrder): Promise<PdfAnswer> {
  try {
    switch (order.kind) {
      case 'handout':
        return { bytes: await handoutPdf(order.handout, order.paper, order.large) };
      case 'letter':
        return { bytes: await letterPdf(order.letter, order.texts, order.paper) };
    }
  } catch (error) {
    return { failed: error instanceof Error ? error.name : 'unknown' };
  }
}
