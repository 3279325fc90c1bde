import { Toaster } from 'sonner';

const buttonLook =
  'min-h-6 flex-none cursor-pointer text-inherit underline underline-offset-3 focus-visible:outline-2 focus-visible:outline-offset-2 focus-visible:outline-dusk-text';

/**
 * Where notices are shown, above dialogs and below menus: none lies over what was just opened to choose from, and none over a bar at
 * the foot of the screen (`--below-notices`). What was said before it stands is shown then.
 */
export const Notices = () => (
  <Toaster
    position="bottom-center"
    offset={{ bottom: 'var(--below-notices)' }}
    mobileOffset={{ bottom: 'var(--below-notices)', left: 16, right: 16 }}
    style={{ zIndex: 35 }}
    toastOptions={{
      unstyled: true,
      classNames: {
        toast:
          'notice flex w-(--width) flex-wrap items-center gap-x-4 gap-y-1 rounded-m border-l-4 border-l-straw bg-dusk px-4 py-3 font-text text-m leading-m font-firm text-dusk-text shadow-3',
        error: 'border-l-vermilion!',
        // Beside its words, and below them where two have no room there.
        content: 'min-w-0 flex-[1_1_11rem]',
        actionButton: buttonLook,
        cancelButton: buttonLook,
      },
    }}
  />
);
