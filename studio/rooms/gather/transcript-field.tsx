import { useId, useRef, useState } from 'react';
import { cuesOf, isWebVtt } from '#core/words/web-vtt.ts';
import { Button } from '../../ui/button.tsx';

interface TranscriptFieldProps {
  transcript: string;
  onChange: (transcript: string) => void;
}

/** What the words are, told to their maker. */
function told(transcript: string): string {
  if (transcript.trim() === '') return 'Without words, people who cannot hear it get nothing of it.';
  if (!isWebVtt(transcript))
    return 'Shown below the player. With times, as WebVTT, they would run along too.';
  const count = cuesOf(transcript).length;
  return count === 0
    ? 'This begins like WebVTT, but has no line with times that can be read, such as “00:01.000 --> 00:04.000”.'
    : `WebVTT with ${count} ${count === 1 ? 'line' : 'lines'}: they run along while it plays.`;
}

/** Words of a recording: typed, or taken from a file of captions. */
export function TranscriptField({ transcript, onChange }: TranscriptFieldProps) {
  const id = useId();
  const file = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState('');
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    const text = chosen.size < 400_000 ? await chosen.text() : '';
    if (!isWebVtt(text) || cuesOf(text).length === 0)
      return setProblem(
        `${chosen.name} is not a WebVTT file: it would begin with WEBVTT and have lines with times.`,
      );
    setProblem('');
    onChange(text);
  };
  return (
    <div className="block">
      <label className="field-name" htmlFor={id}>
        What is said or shown
        <em>typed, or WebVTT</em>
      </label>
      <textarea
        id={id}
        className="input"
        rows={5}
        value={transcript}
        maxLength={200_000}
        aria-describedby={`${id}-told`}
        onChange={(event) => onChange(event.target.value)}
      />
      <p id={`${id}-told`} className="note mt-1">
        {told(transcript)}
      </p>
      {problem && (
        <p className="field-problem" role="alert">
          {problem}
        </p>
      )}
      <Button small className="mt-2" onClick={() => file.current?.click()}>
        Take it from a file of captions
      </Button>
      <input
        ref={file}
        type="file"
        accept=".vtt,text/vtt"
        className="hidden"
        aria-label="File of captions"
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </div>
  );
}
