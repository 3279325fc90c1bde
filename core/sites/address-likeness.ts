// The package’s own types stand under a name that no compiler looks for.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./unicode-confusables.d.ts" />
import { rectifyConfusion } from 'unicode-confusables';

/**
 * What an address looks like: two addresses with the same likeness can be mistaken for one another, as `wren-1` for `wren-l`
 * and `modem` for `modern`. This is the skeleton of Unicode Technical Standard 39, section 4, by its table of confusables,
 * told without regard to capitals, since addresses are read in both.
 */
export const addressLikeness = (address: string): string =>
  rectifyConfusion(address.normalize('NFD')).normalize('NFD').toLowerCase();
