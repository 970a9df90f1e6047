import { contactSaid, isCallDone } from '.';

const contact = { way: 'call', reached: true, agreed: '', by: 'Ione Kestrel' } as const;

it('says what was done today and by whom', () => {
  expect([
    contactSaid(contact),
    contactSaid({ ...contact, reached: false }),
    contactSaid({ ...contact, way: 'message' }),
    contactSaid({ ...contact, way: 'video', by: '' }),
  ]).toEqual([
    'Called today by Ione Kestrel.',
    'Called, not reached today by Ione Kestrel.',
    'Wrote today by Ione Kestrel.',
    'Spoke by video today.',
  ]);
});

it('takes a call for done only where somebody was reached, and never over an open alert', () => {
  const done = (reached: boolean | null, alerts: number) =>
    isCallDone({
      contact: reached === null ? null : { reached },
      alerts: Array.from({ length: alerts }),
    });
  expect([done(true, 0), done(false, 0), done(null, 0), done(true, 1)]).toEqual([
    true,
    false,
    false,
    false,
  ]);
});
