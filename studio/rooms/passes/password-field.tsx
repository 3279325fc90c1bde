import { RefreshCw } from 'lucide-react';
import { useId } from 'react';
import { readablePassword } from '#core/passes/readable-password.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { Switch } from '../../ui/switch.tsx';

/** What becomes of the password: there is none, the one there was stays, or it is this. */
export type PasswordWish = { kind: 'none' } | { kind: 'kept' } | { kind: 'new'; text: string };

/** Of a number of 32 bits the remainder is even enough. */
const madeUp = (): PasswordWish => ({
  kind: 'new',
  text: readablePassword((end) => (crypto.getRandomValues(new Uint32Array(1))[0] ?? 0) % end),
});

interface PasswordFieldProps {
  wish: PasswordWish;
  onChange: (wish: PasswordWish) => void;
}

/** Whether a pass asks for a password, and which: one that was made up and can be read out, or any other. */
export function PasswordField({ wish, onChange }: PasswordFieldProps) {
  const id = useId();
  return (
    <div className="grid gap-1">
      <p className="flex items-center gap-3">
        <label htmlFor={`${id}-asks`} className="mr-auto font-firm">
          Ask for a password
        </label>
        <Switch
          id={`${id}-asks`}
          checked={wish.kind !== 'none'}
          onChange={(on) => onChange(on ? madeUp() : { kind: 'none' })}
        />
      </p>
      {wish.kind === 'kept' && (
        <p className="note">
          It has one, which nobody can read any more.{' '}
          <button type="button" className="link" onClick={() => onChange(madeUp())}>
            Make another one
          </button>
        </p>
      )}
      {wish.kind === 'new' && (
        <>
          <div className="flex items-center gap-2">
            <input
              id={id}
              className="input min-w-0 flex-1 font-mono"
              aria-label="The password"
              autoComplete="off"
              spellCheck={false}
              maxLength={100}
              value={wish.text}
              onChange={({ target }) => onChange({ kind: 'new', text: target.value })}
            />
            <IconButton label="Make up another one" onClick={() => onChange(madeUp())}>
              <RefreshCw size={16} aria-hidden="true" />
            </IconButton>
          </div>
          <p className="note">
            Tell it apart from the link. It is shown until you leave this room, and never again.
          </p>
        </>
      )}
    </div>
  );
}
