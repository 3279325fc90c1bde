import { Check, Copy } from 'lucide-react';
import { useState } from 'react';
import { Button } from './button.tsx';

/** Copies a text. @param of what it is, for people who hear the page, where several stand beside each other */
export function CopyButton({ text, of }: { text: string; of?: string }) {
  const [copied, setCopied] = useState(false);
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text);
      setCopied(true);
      setTimeout(() => setCopied(false), 2000);
    } catch {
      // Without leave to use the clipboard the text can still be selected and copied by hand.
    }
  };
  return (
    <Button onClick={() => void copy()}>
      {copied ? <Check size={16} aria-hidden="true" /> : <Copy size={16} aria-hidden="true" />}
      <span aria-live="polite">{copied ? 'Copied' : 'Copy'}</span>
      {of && <span className="sr-only">: {of}</span>}
    </Button>
  );
}
