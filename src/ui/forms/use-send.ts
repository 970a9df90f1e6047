'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { toast } from '../primitives/toast';
import type { Answer } from './post';
import { useSending } from './use-sending';

export type Refused = Extract<Answer<unknown>, { ok: false }>;

type WhatFollows<T> = {
  /** Before the page is read anew. */
  readonly done?: (value: T) => void;
  /** What is said once it was carried out. */
  readonly said?: string | ((value: T) => string);
  /** What a refusal does; without it its sentence is shown. */
  readonly refused?: (answer: Refused) => void;
};

/**
 * Every write of the clinic's pages: sent once, the refusal's sentence shown, and the page read anew
 * after it was carried out.
 */
export function useSend() {
  const router = useRouter();
  const { busy, sending } = useSending();

  /** @returns true when it was carried out */
  const send = useCallback(
    async <T = unknown>(
      path: string,
      body: unknown,
      { done, said, refused }: WhatFollows<T> = {},
    ): Promise<boolean> => {
      const answer = await sending<T>(path, body);
      if (!answer) return false;
      if (!answer.ok) {
        if (refused) refused(answer);
        else toast.error(answer.say);
        return false;
      }
      done?.(answer.value);
      if (said !== undefined) toast(typeof said === 'string' ? said : said(answer.value));
      router.refresh();
      return true;
    },
    [router, sending],
  );
  return { busy, send };
}
