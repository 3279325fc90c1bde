import { useEffect, useRef, useState } from 'react';
import { type Sending, sendKept } from './send-kept.ts';

/** How long until it is tried again by itself, in ms. */
const againMs = 20_000;

/** As `Sending`; at first nothing is known yet. */
export type SendingState = Sending | 'looking' | 'sending';

/** The Background Synchronization API, as far as it is used; not all browsers have it. */
interface WithSync {
  sync?: { register(tag: string): Promise<void> };
}

/** Asks the browser to let the worker send what is left once there is a network, also with this screen closed. */
async function sendLater(): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  const worker = (await navigator.serviceWorker.getRegistration()) as WithSync | undefined;
  await worker?.sync?.register('send-captured').catch(() => undefined);
}

/**
 * Sends what is kept: at once, when the network comes back, when the screen is looked at again, and now and then in between.
 *
 * @param waiting how many things could be sent
 */
export function useSending(waiting: number): { state: SendingState; again: () => void } {
  const [state, setState] = useState<SendingState>('looking');
  const [tries, setTries] = useState(0);
  const sending = useRef(false);
  useEffect(() => {
    if (sending.current) return;
    sending.current = true;
    const send = async () => {
      setState((old) => (old === 'looking' ? old : 'sending'));
      const went = await sendKept().catch((): Sending => 'no-line');
      sending.current = false;
      setState(went);
      if (went === 'no-line') await sendLater();
    };
    void send();
  }, [waiting, tries]);
  useEffect(() => {
    const again = () => document.visibilityState === 'visible' && setTries((old) => old + 1);
    const timer = setInterval(again, againMs);
    window.addEventListener('online', again);
    window.addEventListener('focus', again);
    document.addEventListener('visibilitychange', again);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', again);
      window.removeEventListener('focus', again);
      document.removeEventListener('visibilitychange', again);
    };
  }, []);
  return { state, again: () => setTries((old) => old + 1) };
}
