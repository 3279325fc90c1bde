import { Share2 } from 'lucide-react';
import { CopyButton } from './copy-button.tsx';
import { IconButton } from './icon-button.tsx';

/** A link in full, with a button that copies it. */
export function CopyLink({ path, label }: { path: string; label: string }) {
  const url = new URL(path, window.location.origin).href;
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
      <CopyButton text={url} />
      {typeof navigator.share === 'function' && (
        <IconButton label={`Pass on: ${label}`} title="Pass it on" onClick={passOn}>
          <Share2 size={16} aria-hidden="true" />
        </IconButton>
      )}
    </div>
  );
}
