import { useEffect, useRef, useState } from 'react';
import { post } from './post';

/** Typing is asked about when it has rested so long, in milliseconds. */
const REST_MS = 200;

/**
 * What the server finds for what is typed: asked when typing rests, in the body and never in an address.
 * An answer to what was typed before is passed over.
 *
 * @param askFor the record that is posted; the same for the same words
 * @returns null where nothing is typed, or the server refused
 */
export function useFound<T>(path: string, typed: string, askFor: (words: string) => unknown) {
  const [found, setFound] = useState<readonly T[] | null>(null);
  const [refusal, setRefusal] = useState('');
  const newest = useRef(0);
  const words = typed.trim();
  const body = words === '' ? '' : JSON.stringify(askFor(words));
  useEffect(() => {
    newest.current += 1;
    const mine = newest.current;
    if (body === '') {
      setFound(null);
      setRefusal('');
      return;
    }
    async function ask() {
      const answer = await post<readonly T[]>(path, JSON.parse(body));
      if (mine !== newest.current) return;
      setRefusal(answer.ok ? '' : answer.say);
      setFound(answer.ok ? answer.value : null);
    }
    const timer = setTimeout(() => void ask(), REST_MS);
    return () => clearTimeout(timer);
  }, [path, body]);
  return { found, refusal };
}
