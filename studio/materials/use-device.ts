import { useCallback, useEffect, useState } from 'react';

/** Why a camera or microphone cannot be used, in a sentence; by the names the Media Capture standard gives its errors. */
function deviceProblem(error: unknown, device: 'camera' | 'microphone'): string {
  const name = error instanceof Error ? error.name : '';
  const instead =
    device === 'camera'
      ? 'Take the picture with a phone and drop it here.'
      : 'Record it with a phone and drop the file here.';
  switch (name) {
    case 'NotAllowedError':
    case 'SecurityError':
      return `The browser was not allowed to use the ${device}. Allow it beside the address, and try again.`;
    case 'NotFoundError':
    case 'OverconstrainedError':
      return `There is no ${device} here that the browser can use. ${instead}`;
    case 'NotReadableError':
    case 'AbortError':
      return `The ${device} is in use by another program. Close that one, and try again.`;
    default:
      return `The ${device} could not be started. ${instead}`;
  }
}

interface Device {
  stream: MediaStream | null;
  problem: string;
  again: () => void;
}

/** A camera or microphone for as long as the component that asks for it is there. */
export function useDevice(device: 'camera' | 'microphone'): Device {
  const [stream, setStream] = useState<MediaStream | null>(null);
  const [problem, setProblem] = useState('');
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let gone = false;
    let mine: MediaStream | null = null;
    const start = async () => {
      // Browsers give devices to safe addresses only, and have nothing to ask elsewhere.
      const { mediaDevices } = navigator as { mediaDevices?: MediaDevices };
      if (!mediaDevices) {
        setProblem(
          `A browser gives the ${device} only to pages with a safe address (https). Ask whoever runs this server.`,
        );
        return;
      }
      try {
        mine = await mediaDevices.getUserMedia(
          device === 'camera'
            ? { video: { facingMode: 'environment', width: { ideal: 4096 } } }
            : { audio: true },
        );
        if (gone) mine.getTracks().forEach((track) => track.stop());
        else {
          setProblem('');
          setStream(mine);
        }
      } catch (error) {
        if (!gone) setProblem(deviceProblem(error, device));
      }
    };
    void start();
    return () => {
      gone = true;
      // Its light goes out as soon as nobody looks through it.
      mine?.getTracks().forEach((track) => track.stop());
      setStream(null);
    };
  }, [device, tries]);
  return { stream, problem, again: useCallback(() => setTries((old) => old + 1), []) };
}
