import { Fragment, type ReactNode } from 'react';
import type { Block, Inline, RichText, TableRow } from '#core/words/rich-text.ts';
import { useSpoken } from '../render/words.ts';

function InlineView({ node }: { node: Inline }): ReactNode {
  const { words, lang } = useSpoken();
  if (node.type === 'hardBreak') return <br />;
  return (node.marks ?? []).reduce<ReactNode>((inner, mark) => {
    if (mark.type === 'bold') return <strong>{inner}</strong>;
    if (mark.type === 'italic') return <em>{inner}</em>;
    if (mark.type === 'code') return <code>{inner}</code>;
    if (mark.attrs.target !== '_blank') return <a href={mark.attrs.href}>{inner}</a>;
    return (
      <a href={mark.attrs.href} target="_blank" rel="noopener">
        {inner}
        <span className="new-window" {...lang}>
          {` (${words.newWindow})`}
        </span>
      </a>
    );
  }, node.text);
}

function BlockView({ block }: { block: Block }): ReactNode {
  const { words } = useSpoken();
  const inlines = (nodes: Inline[] | undefined) =>
    (nodes ?? []).map((node, at) => <InlineView key={at} node={node} />);
  switch (block.type) {
    case 'paragraph':
      // Blank lines are the editor's business; on the page, space comes from the theme.
      return block.content?.length ? <p>{inlines(block.content)}</p> : null;
    case 'heading': {
      if (!block.content?.length) return null;
      return block.attrs.level === 2 ? <h2>{inlines(block.content)}</h2> : <h3>{inlines(block.content)}</h3>;
    }
    case 'codeBlock':
      return block.content?.length ? (
        // Long lines scroll by themselves, by keyboard too.
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- what scrolls has to be reached
        <pre tabIndex={0}>
          <code>{block.content.map(({ text }) => text).join('')}</code>
        </pre>
      ) : null;
    case 'blockquote':
      return <blockquote>{blocks(block.content)}</blockquote>;
    case 'bulletList':
    case 'orderedList': {
      const List = block.type === 'bulletList' ? 'ul' : 'ol';
      return (
        <List>
          {block.content.map((item, at) => (
            <li key={at}>{blocks(item.content)}</li>
          ))}
        </List>
      );
    }
    case 'table': {
      const [first, ...rest] = block.content;
      const headed = first?.content.every((cell) => cell.type === 'tableHeader') ?? false;
      const row = (one: TableRow, at: number) => (
        <tr key={at}>
          {one.content.map((cell, column) =>
            cell.type === 'tableHeader' ? (
              <th key={column} scope={headed && at === 0 ? 'col' : 'row'}>
                {blocks(cell.content)}
              </th>
            ) : (
              <td key={column}>{blocks(cell.content)}</td>
            ),
          )}
        </tr>
      );
      return (
        // A wide table scrolls by itself, by keyboard too, and never makes the page scroll sideways.
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- what scrolls has to be reached
        <div className="table" role="region" aria-label={words.table} tabIndex={0}>
          <table>
            {headed && first && <thead>{row(first, 0)}</thead>}
            <tbody>{(headed ? rest : block.content).map((one, at) => row(one, at + 1))}</tbody>
          </table>
        </div>
      );
    }
  }
}

function blocks(list: readonly Block[]): ReactNode {
  return list.map((block, at) => (
    <Fragment key={at}>
      <BlockView block={block} />
    </Fragment>
  ));
}

/** Words as readers get them, drawn from data; no stored HTML is involved. */
export function WordsView({ text }: { text: RichText }) {
  return <div className="prose">{blocks(text.content)}</div>;
}
