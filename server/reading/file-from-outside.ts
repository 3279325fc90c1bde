/** A file whose bytes are in the store's folder: where they are, and how many. */
export interface FileFromOutside {
  path: string;
  hash: string;
  bytes: number;
  /** As its maker's computer calls it. */
  name: string;
  maxPixels: number;
}
