/** Kinds of input in which no words are typed: they have no undo of their own. */
const wordless = new Set([
  'checkbox',
  'radio',
  'range',
  'color',
  'file',
  'button',
  'submit',
  'reset',
  'image',
]);

/** Whether words are typed in an element, so that taking back is first of all the browser's own. */
export const typesWords = (element: Element): boolean => {
  const field = element.closest('input, textarea');
  return field !== null && !(field instanceof HTMLInputElement && wordless.has(field.type));
};
