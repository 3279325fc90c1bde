import type { SeenMaterialOf } from './seen-by.ts';

type Covered = Pick<SeenMaterialOf<'document'>, 'fixes'> & {
  shownBy: Pick<SeenMaterialOf<'document'>, 'fixes'> | null;
};

/**
 * Whether something of a document is blacked out, on its own pages or on those of the PDF that shows it. Its file still
 * holds all of it, so it is never handed out then, whatever a part says.
 */
export const isCovered = ({ fixes, shownBy }: Covered): boolean =>
  [fixes, shownBy?.fixes].some((one) => (one?.blackOut?.length ?? 0) > 0);
