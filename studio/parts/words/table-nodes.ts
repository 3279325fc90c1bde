import { Node } from '@tiptap/core';

/**
 * Tables as the words' schema has them: rows of cells, each with blocks. They come with documents and pasted words; their
 * cells can be written in, and their shape stays.
 */
const cell = (name: 'tableCell' | 'tableHeader', tag: 'td' | 'th') =>
  Node.create({
    name,
    content: 'block+',
    isolating: true,
    parseHTML: () => [{ tag }],
    renderHTML: () => [tag, 0],
  });

export const tableNodes = [
  Node.create({
    name: 'table',
    group: 'block',
    content: 'tableRow+',
    isolating: true,
    parseHTML: () => [{ tag: 'table' }],
    renderHTML: () => ['div', { class: 'table' }, ['table', ['tbody', 0]]],
  }),
  Node.create({
    name: 'tableRow',
    content: '(tableCell | tableHeader)+',
    parseHTML: () => [{ tag: 'tr' }],
    renderHTML: () => ['tr', 0],
  }),
  cell('tableCell', 'td'),
  cell('tableHeader', 'th'),
];
