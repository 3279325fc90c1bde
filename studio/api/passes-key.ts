/** Under which the passes of a site are known, in the room and in “See it as…”. */
export const passesKey = (site: string): readonly string[] => ['passes', site];
