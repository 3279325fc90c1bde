/** What the tests use of the parser kept by the editors of the W3C's standard, which brings no types. */
declare module 'webvtt-parser' {
  export class WebVTTParser {
    parse(text: string, mode: 'metadata'): { cues: { startTime: number; endTime: number; text: string }[] };
  }
}
