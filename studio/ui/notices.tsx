import { Toaster } from 'sonner';

/**
 * Where notices are shown, above dialogs and below menus: none lies over what was just opened to choose from. What was said
 * before it stands is shown then.
 */
export const Notices = () => (
  <Toaster
    position="bottom-center"
    offset={24}
    mobileOffset={72}
    style={{ zIndex: 35 }}
    toastOptions={{
      unstyled: true,
      classNames: { toast: 'notice', error: 'notice-problem', actionButton: 'notice-act' },
    }}
  />
);
