import { Fragment, type ReactNode } from 'react';
import type { Block, Inline, RichText } from '#core/content/rich-text.ts';

function InlineView({ node }: { node: Inline }): ReactNode {
  if (node.type === 'hardBreak') return <br />;
  return (node.marks ?? []).reduce<ReactNode>((inner, mark) => {
    if (mark.type === 'bold') return <strong>{inner}</strong>;
    if (mark.type === 'italic') return <em>{inner}</em>;
    return <a href={mark.attrs.href}>{inner}</a>;
  }, node.text);
}

function BlockView({ block }: { block: Block }): ReactNode {
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
