import type { DocumentContent } from '#core/materials/document.ts';

/** Hashes of the pictures that stand in a document, once each. */
export const piecePictures = ({ pieces }: Pick<DocumentContent, 'pieces'>): string[] => [
  ...new Set(pieces.flatMap((piece) => (piece.type === 'picture' ? [piece.picture] : []))),
];
