import { afterAnswer } from './after-answer';

it('does a job at once where nothing is being answered', () => {
  let done = 0;
  afterAnswer(async () => {
    done += 1;
  });
  expect(done).toBe(1);
});
