'use client';

import * as Dialog from 'radix-dialog';
import { useState } from 'react';
import { copyText } from '../forms/copy-text';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { part, usePart } from '../primitives/on-demand';
import { useFocusBack } from '../primitives/use-focus-back';
import { AnswersForWords } from './answers-for-words';
import type { LinkProps } from './patient-link';

const QR_CODE = part(() => import('../handout/qr').then(({ QrCode }) => QrCode));

/** Makes the patient's personal link and shows it once, as text and as a code to scan. */
export function LinkDialog({
  open,
  onClose,
  patientId,
  patientName,
  link,
  unchecked,
}: LinkProps & { readonly open: boolean; readonly onClose: () => void }) {
  const [answers, setAnswers] = useState(false);
  const [address, setAddress] = useState('');
  const { busy, send } = useSend();
  const focus = useFocusBack();
  const close = () => {
    setAddress('');
    onClose();
  };

  async function issue() {
    await send<{ address: string }>(
      '/api/v1/links',
      { patientId, answersForWords: answers },
      {
        done: (made) => setAddress(made.address),
      },
    );
  }

  async function revoke() {
    await send(
      '/api/v1/links/revoke',
      { patientId },
      {
        done: () => setAddress(''),
        said: 'The link no longer works.',
      },
    );
  }

  const state = !link.issued
    ? 'There is no working link.'
    : link.opened
      ? 'The link has been opened.'
      : 'The link has not been opened yet.';
  return (
    <Dialog.Root open={open} onOpenChange={(wanted) => !wanted && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-ink/40" />
        <Dialog.Content
          {...focus}
          className="fixed left-1/2 top-1/2 z-30 grid max-h-[92dvh] w-[min(30rem,94vw)] -translate-x-1/2 -translate-y-1/2 gap-3 overflow-auto rounded border border-edge bg-sheet p-5"
        >
          <Dialog.Title className="text-lg font-semibold">
            Personal link of <bdi>{patientName}</bdi>
          </Dialog.Title>
          <Dialog.Description className="text-soft">
            {state} Whoever has the link sees this patient’s programme, so hand it over in person. A
            new link ends the one before.
          </Dialog.Description>
          {unchecked !== null && !address && (
            <AnswersForWords language={unchecked} ticked={answers} onTick={setAnswers} />
          )}
          {address && <LinkShown address={address} />}
          <div className="flex flex-wrap gap-2">
            {!address && (
              <Button
                look="main"
                disabled={busy || (unchecked !== null && !answers)}
                onClick={issue}
              >
                {link.issued ? 'Make a new link' : 'Make the link'}
              </Button>
            )}
            {link.issued && <Button onClick={revoke}>End the link</Button>}
            <Dialog.Close asChild>
              <Button>Close</Button>
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** Without the code the address itself is there to copy. */
const withoutCode = () => undefined;

function LinkShown({ address }: { address: string }) {
  const QrCode = usePart(QR_CODE, true, withoutCode);
  return (
    <div className="grid justify-items-center gap-3">
      <div className="aspect-square w-56 rounded bg-white">
        {QrCode && (
          <QrCode
            text={address}
            label="The link as a code to scan with the phone"
            className="w-56"
          />
        )}
      </div>
      <p
        className="figures w-full select-all break-all rounded border border-hair bg-wash p-2 text-small"
        data-testid="patient-link"
      >
        {address}
      </p>
      <p className="text-soft">It is shown only now: scan it, or copy it.</p>
      <Button onClick={() => void copyText(address)}>Copy</Button>
    </div>
  );
}
