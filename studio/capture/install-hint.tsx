import { useEffect, useState } from 'react';
import { Button } from '../ui/button.tsx';

/** What some browsers offer before they install a page as an app. */
interface InstallOffer extends Event {
  prompt(): Promise<unknown>;
}

/** Puts this screen among the apps of the device, where the browser offers that. */
export function InstallHint() {
  const [offer, setOffer] = useState<InstallOffer | null>(null);
  useEffect(() => {
    const offered = (event: Event) => {
      event.preventDefault();
      setOffer(event as InstallOffer);
    };
    const installed = () => setOffer(null);
    window.addEventListener('beforeinstallprompt', offered);
    window.addEventListener('appinstalled', installed);
    return () => {
      window.removeEventListener('beforeinstallprompt', offered);
      window.removeEventListener('appinstalled', installed);
    };
  }, []);
  if (!offer) return null;
  return (
    <p className="flex flex-wrap items-center justify-between gap-2 text-s">
      As an app on this device it opens with one press, and other apps can share to it.
      <Button small onClick={() => void offer.prompt().then(() => setOffer(null))}>
        Install
      </Button>
    </p>
  );
}
