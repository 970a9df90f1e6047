import { crowded } from './queue-model';

it('is the textbook’s queue where there is one process and no lock (M/M/1)', () => {
  // The time in an M/M/1 queue is exponential with rate μ − λ (Kleinrock, Queueing Systems, volume 1, 1975).
  for (const perSecond of [50, 100, 150]) {
    const p95 = (-Math.log(0.05) / (1000 / 5 - perSecond)) * 1000;
    const found = crowded({ processes: 1, workMs: 5, writeMs: 0 }, perSecond, 200_000, 3);
    expect(found.p95 / p95).toBeGreaterThan(0.9);
    expect(found.p95 / p95).toBeLessThan(1.1);
    expect(found.isStable).toBe(true);
  }
});

it('never ends where more arrives than can be answered', () => {
  expect(crowded({ processes: 1, workMs: 5, writeMs: 0 }, 210, 20_000, 3).isStable).toBe(false);
  expect(crowded({ processes: 2, workMs: 5, writeMs: 0 }, 210, 20_000, 3).isStable).toBe(true);
});

it('gains by processes only as far as the one who writes lets it', () => {
  const p95 = (processes: number) =>
    crowded({ processes, workMs: 5, writeMs: 1 }, 150, 50_000, 3).p95;
  expect(p95(2)).toBeLessThan(p95(1) / 2);
  expect(crowded({ processes: 16, workMs: 5, writeMs: 1 }, 1100, 20_000, 3).isStable).toBe(false);
});
