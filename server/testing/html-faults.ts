import { HtmlValidate } from 'html-validate';

const validator = new HtmlValidate({
  extends: ['html-validate:recommended'],
  rules: {
    'require-sri': 'off',
    'no-inline-style': 'error',
    'void-style': 'off',
    // React's serialiser writes charSet and srcSet; HTML does not mind the case of a name.
    'attr-case': 'off',
    'long-title': 'off',
    'doctype-style': 'off',
    'attribute-boolean-style': 'off',
    'attribute-empty-style': 'off',
    'no-trailing-whitespace': 'off',
    // A button does not say where on its picture it was pressed; an input of a picture does (HTML Standard, 4.10.5.1.19).
    'prefer-button': 'off',
  },
});

/** What html-validate, a general reference for the HTML Standard, finds wrong with a page; empty when nothing is. */
export async function htmlFaults(html: string): Promise<string[]> {
  const { results } = await validator.validateString(html);
  return results.flatMap(({ messages }) =>
    messages.map(({ ruleId, message, line, column }) => `${ruleId} at ${line}:${column}: ${message}`),
  );
}
