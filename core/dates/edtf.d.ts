/** What the tests use of the reference reader of the Extended Date/Time Format, whose own types name more than it exports. */
declare module 'edtf' {
  export default function edtf(date: string): { min: number; max: number };
}
