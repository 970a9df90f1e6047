import { mailIdsIn, readReturned } from '.';

describe('a mail that came back', () => {
  it.each([
    ['Action: failed\r\nStatus: 5.1.1\r\n', { kind: 'failed', status: '5.1.1' }],
    ['status: 4.4.7\naction:  FAILED\n', { kind: 'failed', status: '4.4.7' }],
    ['Action: failed\n', { kind: 'failed', status: null }],
    // Of several recipients one was given up.
    ['Action: delayed\nStatus: 4.0.0\n\nAction: failed\n', { kind: 'failed', status: '4.0.0' }],
    ['Action: delayed\n', { kind: 'delayed' }],
    ['Action: delivered\nStatus: 2.0.0\n', { kind: 'no report' }],
    ['I am away until Monday.\nThe Action: failed.', { kind: 'no report' }],
    ['', { kind: 'no report' }],
  ])('%j', (text, expected) => expect(readReturned(text)).toEqual(expected));

  it('names each id of ours once, and a bounded number of them', () => {
    const id = 'a'.repeat(32);
    expect(mailIdsIn(`<${id}@x> References: <${id}@x> <short@x> ${'b'.repeat(33)}@x`)).toEqual([
      id,
    ]);
    const many = Array.from({ length: 80 }, (_, n) => `${String(n).padStart(32, '0')}@x`).join(' ');
    expect(mailIdsIn(many)).toHaveLength(50);
  });
});
