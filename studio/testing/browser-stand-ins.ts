/** What a browser has and the tests' document has not: enough for menus and dialogs to open and to be pressed. */
class Watcher {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

export function standInForBrowser(): void {
  Object.assign(globalThis, { ResizeObserver: Watcher, IntersectionObserver: Watcher });
  Object.assign(Element.prototype, {
    scrollIntoView: () => {},
    hasPointerCapture: () => false,
    setPointerCapture: () => {},
    releasePointerCapture: () => {},
  });
}
