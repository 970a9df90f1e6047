'use client';

import { useEffect, useRef, useState } from 'react';
import { Button } from '../primitives/button';
import { saveFile } from './save-file';

/**
 * A file the server makes while somebody waits: what it is, how long it has taken, and a way to let it
 * be. Leaving the page lets it be too, so that the server draws for nobody.
 */
export function useFile() {
  const [making, setMaking] = useState('');
  const [refusal, setRefusal] = useState('');
  const wait = useRef<AbortController | null>(null);
  useEffect(() => () => wait.current?.abort(), []);

  async function make(what: string, path: string, order: unknown, name: string) {
    const controller = new AbortController();
    wait.current = controller;
    setMaking(what);
    setRefusal('');
    const say = await saveFile(path, order, name, controller.signal);
    setMaking('');
    setRefusal(say);
  }
  return { making, refusal, make, cancel: () => wait.current?.abort() };
}

/** How long a file has been in the making, and the button that lets it be; nothing when none is. */
export function FileMaking({ making, cancel }: { making: string; cancel: () => void }) {
  return making === '' ? null : <Waiting key={making} making={making} cancel={cancel} />;
}

function Waiting({ making, cancel }: { making: string; cancel: () => void }) {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setSeconds((now) => now + 1), 1000);
    return () => clearInterval(timer);
  }, []);
  return (
    <p className="flex items-center gap-2 text-soft">
      <span role="status">Making the {making} …</span>
      <span className="figures" aria-hidden>
        {seconds} s
      </span>
      <Button look="quiet" onClick={cancel}>
        Stop making it
      </Button>
    </p>
  );
}
