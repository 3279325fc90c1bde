/** What was read out of a document, as it stands in the store. */
export interface StoredContent {
  /** Of the JSON. */
  hash: string;
  /** Hashes of pictures that stand in the document, each in the store by itself. */
  pictures: string[];
}
