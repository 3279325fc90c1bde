/** What the tests use of an independent package for reading ease, which brings no types. */
declare module 'text-readability' {
  const measures: { fleschReadingEase(text: string): number; fleschKincaidGrade(text: string): number };
  export default measures;
}
