import { renderToStaticMarkup } from 'react-dom/server';
import { SessionList } from './session-list';

jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));

const session = (id: string, since: string, isThis = false) => ({
  id,
  since,
  lastSeen: 'now',
  isThis,
});

it('tells apart sessions that began in the same minute', () => {
  const page = renderToStaticMarkup(
    <SessionList
      sessions={[
        session('a', '30 Nov 2026, 07:57', true),
        session('b', '30 Nov 2026, 07:57'),
        session('c', '30 Nov 2026, 07:57'),
        session('d', '29 Nov 2026, 12:00'),
      ]}
    />,
  );
  const names = [...page.matchAll(/aria-label="([^"]+)"/g)].map(([, name]) => name);
  expect(names).toEqual([
    'End it: the session since 30 Nov 2026, 07:57 (2 of 3)',
    'End it: the session since 30 Nov 2026, 07:57 (3 of 3)',
    'End it: the session since 29 Nov 2026, 12:00',
  ]);
});
