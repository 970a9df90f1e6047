import type { LookupAddress } from 'node:dns';
import { guardedLookup } from './guarded-lookup';

const OPEN: LookupAddress = { address: '93.184.216.34', family: 4 };
const HOUSE: LookupAddress = { address: '192.168.1.7', family: 4 };
const UNKNOWN: NodeJS.ErrnoException = new Error('ENOTFOUND');

/** What Node is told of a name that resolves so. */
function told(
  error: NodeJS.ErrnoException | null,
  addresses: readonly LookupAddress[] | undefined,
  options: { readonly all?: boolean } = {},
) {
  let said: unknown[] = [];
  guardedLookup((_name, _options, callback) => callback(error, addresses))(
    'push.example',
    options,
    (...answer) => {
      said = answer;
    },
  );
  return said;
}

it('leads to an open address, one of them or all as it is asked', () => {
  expect(told(null, [OPEN])).toEqual([null, OPEN.address, 4]);
  expect(told(null, [OPEN, OPEN], { all: true })).toEqual([null, [OPEN, OPEN]]);
});

it('leads nowhere where one address lies in the house, wherever it stands', () => {
  for (const addresses of [[HOUSE], [OPEN, HOUSE], [HOUSE, OPEN]])
    for (const all of [false, true])
      expect(told(null, addresses, { all })).toEqual([
        expect.objectContaining({ message: 'not on the open network' }),
        '',
        0,
      ]);
});

it('leads nowhere where a name is unknown or has no address', () => {
  expect(told(UNKNOWN, undefined)).toEqual([UNKNOWN, '', 0]);
  // An error stands before whatever came with it.
  expect(told(UNKNOWN, [OPEN])).toEqual([UNKNOWN, '', 0]);
  expect(told(null, [])[0]).toBeInstanceOf(Error);
  expect(told(null, undefined)[0]).toBeInstanceOf(Error);
});
