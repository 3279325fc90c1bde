declare module 'vcf' {
  /** As much of it as is used here. */
  export default class VCard {
    static parse(text: string): VCard[];
    version: string;
    get(name: string): { valueOf(): string };
  }
}
