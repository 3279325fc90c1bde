/**
 * Jest runs each test file in a context of its own, where every look-up of a global name asks an interceptor: in a loop over the
 * columns of a query or the bytes of a protocol that is most of the time. The packages that loop so get the names they use as
 * constants of their own, on their first line, so that lines keep their numbers. For ES modules only: in other files a
 * directive may stand first.
 */
const names = [
  ...['Array', 'ArrayBuffer', 'BigInt', 'Boolean', 'DataView', 'Error', 'JSON', 'Map', 'Math', 'Number'],
  ...['Object', 'Promise', 'RegExp', 'Set', 'String', 'Symbol', 'TypeError', 'Uint8Array', 'WeakMap'],
];

/** Whether a file has a thing of that name of its own. */
const declares = (code, name) =>
  new RegExp(
    String.raw`\b(?:class|function\*?|const|let|var)\s+${name}\b|[{,]\s*(?:[\w$]+\s+as\s+)?${name}\s*(?:,|\}\s*from)|\bimport\s+(?:\*\s+as\s+)?${name}\b`,
  ).test(code);

export default {
  process(code) {
    if (!/^(?:import|export)\b/m.test(code) && !/\b(?:import|export)\s*\{/.test(code)) return { code };
    const used = names.filter(
      (name) => new RegExp(String.raw`\b${name}\b`).test(code) && !declares(code, name),
    );
    return { code: used.length > 0 ? `const {${used.join()}} = globalThis; ${code}` : code };
  },
};
