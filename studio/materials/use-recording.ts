import { useEffect, useRef, useState } from 'react';

/** Formats in the order they are wanted; the first one this browser can write is taken. */
const formats = ['audio/mp4', 'audio/webm;codecs=opus', 'audio/ogg;codecs=opus'];
const endings: Record<string, string> = { mp4: 'm4a', webm: 'webm', ogg: 'ogg' };

/** A recording as a file that can be gathered. */
function asFile(blob: Blob): File {
  const container = /\/(\w+)/.exec(blob.type)?.[1] ?? 'webm';
  return new File([blob], `Voice note.${endings[container] ?? 'webm'}`, { type: blob.type });
}

interface Recording {
  running: boolean;
  /** How long it has been running. */
  seconds: number;
  start: (stream: MediaStream) => void;
  stop: () => void;
}

/** Records what a microphone hears, from a press to the next. */
export function useRecording(onFile: (file: File) => void): Recording {
  const recorder = useRef<MediaRecorder | null>(null);
  const [since, setSince] = useState<number | null>(null);
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (since === null) return;
    const timer = setInterval(() => setSeconds((Date.now() - since) / 1000), 250);
    return () => clearInterval(timer);
  }, [since]);
  return {
    running: since !== null,
    seconds,
    start: (stream) => {
      const mimeType = formats.find((one) => MediaRecorder.isTypeSupported(one));
      const made = new MediaRecorder(stream, mimeType ? { mimeType } : {});
      const pieces: Blob[] = [];
      made.ondataavailable = ({ data }) => pieces.push(data);
      made.onstop = () => {
        setSince(null);
        onFile(asFile(new Blob(pieces, { type: made.mimeType })));
      };
      made.start();
      recorder.current = made;
      setSeconds(0);
      setSince(Date.now());
    },
    stop: () => {
      if (recorder.current?.state === 'recording') recorder.current.stop();
    },
  };
}
