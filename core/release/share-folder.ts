/** Where share pictures stand below an entrance. */
export const shareFolder = 'share/';
