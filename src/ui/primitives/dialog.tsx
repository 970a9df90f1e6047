'use client';

import * as Radix from 'radix-dialog';
import type { ReactNode } from 'react';
import { Button } from './button';
import { useFocusBack } from './use-focus-back';

/** A dialog over the page, with its name, what it is about and a way out. */
export function Dialog({
  open,
  onClose,
  title,
  about,
  wide = false,
  children,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  about: string;
  wide?: boolean;
  children: ReactNode;
}) {
  const focus = useFocusBack();
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-30 bg-ink/40" />
        <Radix.Content
          {...focus}
          className={`fixed top-1/2 left-1/2 z-30 grid max-h-[92dvh] w-[calc(100vw-1.5rem)] -translate-x-1/2 -translate-y-1/2 content-start gap-3 overflow-auto rounded border border-hair bg-paper p-5 ${wide ? 'max-w-[76rem]' : 'max-w-[38rem]'}`}
        >
          <div className="flex items-start gap-4">
            <div className="mr-auto">
              <Radix.Title className="text-xl">{title}</Radix.Title>
              <Radix.Description className="text-soft">{about}</Radix.Description>
            </div>
            <Radix.Close asChild>
              <Button className="shrink-0 whitespace-nowrap">Close</Button>
            </Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
