import { Check, Copy, Share2 } from 'lucide-react';
import { useState } from 'react';
import { Button } from './button.tsx';
import { IconButton } from './icon-button.tsx';

/** A link in full, with a button that copies it. */
export function CopyLink({ path, label }: { path: string; label: string }) {
  const [copied, setCopied] = useState(false);
  const url = new URL(path, window.location.origin).href;
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(url);
      setCopied(true);
      setTimeout(() => setCopied(false), 2000);
    } catch {
      // Without leave to use the clipboard the link can still be selected and copied by hand.
    }
  };
  // Leaving the device's own sheet without choosing anything is no fault.
  const passOn = () => void navigator.share({ url }).catch(() => undefined);
  return (
    <div className="flex items-center gap-2">
      <input
        className="input min-w-0 flex-1 font-mono text-xs leading-xs"
        readOnly
        value={url}
        aria-label={label}
        onFocus={(event) => event.target.select()}
      />
      <Button onClick={() => void copy()}>
        {copied ? <Check size={16} aria-hidden="true" /> : <Copy size={16} aria-hidden="true" />}
        <span aria-live="polite">{copied ? 'Copied' : 'Copy'}</span>
      </Button>
      {typeof navigator.share === 'function' && (
        <IconButton label={`Pass on: ${label}`} title="Pass it on" onClick={passOn}>
          <Share2 size={16} aria-hidden="true" />
        </IconButton>
      )}
    </div>
  );
}
