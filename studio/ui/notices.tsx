import { Toaster } from 'sonner';

/** Where notices are shown. What was said before it stands is shown then. */
export const Notices = () => (
  <Toaster position="bottom-center" offset={24} mobileOffset={72} toastOptions={{ className: 'notice' }} />
);
