import { useMemo, useRef } from 'react';

/**
 * For the content of a dialog that is opened by more than its own trigger: when it closes, the focus goes back to
 * where it was when it opened.
 */
export function useFocusBack() {
  const opener = useRef<HTMLElement | null>(null);
  return useMemo(
    () => ({
      onOpenAutoFocus: () => {
        opener.current = document.activeElement instanceof HTMLElement ? document.activeElement : null;
      },
      onCloseAutoFocus: (event: Event) => {
        if (!opener.current?.isConnected) return;
        event.preventDefault();
        opener.current.focus();
      },
    }),
    [],
  );
}
