import { type CommandProps, EditorContent, useEditor, type Editor, type JSONContent } from '@tiptap/react';
import { TextSelection } from '@tiptap/pm/state';
import StarterKit from '@tiptap/starter-kit';
import { Bold, Code, Italic, Link2, List, ListOrdered, Quote } from 'lucide-react';
import { type ReactNode, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useSite } from '../../api/site-context.tsx';
import { tableNodes } from './table-nodes.ts';
import { TypingPause } from './typing-pause.ts';
import { type Block, type RichText, richTextSchema } from '#core/words/rich-text.ts';
import { Button } from '../../ui/button.tsx';
import { Popover } from '../../ui/popover.tsx';
import { Select } from '../../ui/select.tsx';

/** "kite.example" becomes "https://kite.example"; null for what cannot be a link. */
function linkAddress(typed: string): string | null {
  const text = typed.trim();
  const href = /^[a-z]+:/i.test(text) ? text : text.includes('@') ? `mailto:${text}` : `https://${text}`;
  return text !== '' && /^(https?:\/\/|mailto:|tel:)/i.test(href) && URL.canParse(href) ? href : null;
}

/** The caret stands behind what was selected and writes without its link, so that no key takes the linked words away. */
function writeOnAfterwards({ tr, state }: CommandProps): boolean {
  const link = state.schema.marks['link'];
  tr.setSelection(TextSelection.create(tr.doc, tr.selection.to));
  if (link) tr.removeStoredMark(link);
  return true;
}

function LinkTool({ editor }: { editor: Editor }) {
  const [open, setOpen] = useState(false);
  const [address, setAddress] = useState('');
  const [problem, setProblem] = useState('');
  const [newWindow, setNewWindow] = useState(false);
  const on = editor.isActive('link');
  return (
    <Popover
      label="Link"
      open={open}
      onOpenChange={(wanted) => {
        const current: unknown = editor.getAttributes('link')['href'];
        setAddress(typeof current === 'string' ? current : '');
        setNewWindow(editor.getAttributes('link')['target'] === '_blank');
        setProblem('');
        setOpen(wanted);
      }}
      onCloseAutoFocus={(event) => {
        // Back to the words, where writing goes on.
        event.preventDefault();
        // They may have it already, and be written in: focusing again would put the caret back.
        if (!editor.isFocused) editor.commands.focus();
      }}
      opener={
        <button
          type="button"
          className="tool"
          aria-label="Link"
          aria-pressed={on}
          disabled={editor.state.selection.empty && !on}
        >
          <Link2 size={17} aria-hidden="true" />
        </button>
      }
    >
      <form
        className="grid w-72 gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          const href = linkAddress(address);
          if (address.trim() === '') editor.chain().focus().extendMarkRange('link').unsetLink().run();
          else if (href)
            editor
              .chain()
              .focus()
              .extendMarkRange('link')
              .setLink({ href, target: newWindow ? '_blank' : null })
              .command(writeOnAfterwards)
              .run();
          else return setProblem('Write a web address, for example https://harbour.example.');
          setOpen(false);
        }}
      >
        <label className="block">
          <span className="field-name">Where it leads</span>
          <input
            className="input"
            value={address}
            onChange={(event) => setAddress(event.target.value)}
            spellCheck={false}
          />
        </label>
        {problem && (
          <p className="field-problem" role="alert">
            {problem}
          </p>
        )}
        <label className="check">
          <input
            type="checkbox"
            checked={newWindow}
            onChange={(event) => setNewWindow(event.target.checked)}
          />
          Opens in a new window, and says so
        </label>
        <p className="flex gap-2">
          <Button type="submit" look="ink" small>
            {address.trim() === '' && on ? 'Take the link off' : 'Set the link'}
          </Button>
        </p>
      </form>
    </Popover>
  );
}

const paragraphs = [
  { value: '0', name: 'Paragraph' },
  { value: '2', name: 'Heading' },
  { value: '3', name: 'Small heading' },
  { value: 'code', name: 'Code' },
] as const;

function Tools({ editor }: { editor: Editor }) {
  // Tiptap's own state lives outside React: each transaction asks for a new look.
  const [, look] = useState(0);
  useEffect(() => {
    const again = () => look((count) => count + 1);
    editor.on('transaction', again);
    return () => void editor.off('transaction', again);
  }, [editor]);
  const run = () => editor.chain().focus();
  const level = editor.isActive('heading', { level: 2 })
    ? '2'
    : editor.isActive('heading', { level: 3 })
      ? '3'
      : editor.isActive('codeBlock')
        ? 'code'
        : '0';
  const toggle = (name: string, label: string, icon: ReactNode, act: () => void) => (
    <button
      key={name}
      type="button"
      className="tool"
      aria-label={label}
      aria-pressed={editor.isActive(name)}
      onClick={act}
    >
      {icon}
    </button>
  );
  return (
    <>
      <Select
        className="h-8 py-0 px-1.5 text-s font-firm rounded-[4px] bg-transparent"
        label="Kind of paragraph"
        value={level}
        options={paragraphs}
        onChange={(kind) => {
          if (kind === '0') run().setParagraph().run();
          else if (kind === 'code') run().setCodeBlock().run();
          else
            run()
              .setHeading({ level: kind === '2' ? 2 : 3 })
              .run();
        }}
      />
      {toggle('bold', 'Bold', <Bold size={17} aria-hidden="true" />, () => run().toggleBold().run())}
      {toggle('italic', 'Italic', <Italic size={17} aria-hidden="true" />, () => run().toggleItalic().run())}
      {toggle('code', 'Code', <Code size={17} aria-hidden="true" />, () => run().toggleCode().run())}
      <LinkTool editor={editor} />
      {toggle('bulletList', 'List', <List size={17} aria-hidden="true" />, () =>
        run().toggleBulletList().run(),
      )}
      {toggle('orderedList', 'Numbered list', <ListOrdered size={17} aria-hidden="true" />, () =>
        run().toggleOrderedList().run(),
      )}
      {toggle('blockquote', 'Quotation', <Quote size={17} aria-hidden="true" />, () =>
        run().toggleBlockquote().run(),
      )}
    </>
  );
}

export interface WordsEditorProps {
  text: RichText;
  onChange: (text: RichText) => void;
  /** Where the click that opened the editor was, so that the caret stands there. */
  at: { x: number; y: number } | null;
  /** A stroke was typed where nothing stands yet: something else is to be tied in. */
  onSlash: () => void;
  /** Something with a structure was pasted: takes it in, and gives the words to put where the caret is. */
  onPaste: (html: string, files: File[], intoWords: (blocks: readonly Block[]) => void) => void;
  /** Draws the frame around the words with their tools in it. */
  children: (tools: ReactNode, words: ReactNode) => ReactNode;
}

/** Words edited in place, in the site's own type. What the closed schema does not know is dropped on the way in. */
export function WordsEditor({ text, onChange, at, onSlash, onPaste, children }: WordsEditorProps) {
  const { setTyping } = useSite();
  // The editor is made once; what a stroke does may change while it lives.
  const slash = useRef(onSlash);
  const paste = useRef(onPaste);
  const change = useRef(onChange);
  const insert = useRef<(blocks: readonly Block[]) => void>(() => {});
  const typing = useRef<TypingPause | null>(null);
  useLayoutEffect(() => {
    slash.current = onSlash;
    paste.current = onPaste;
    change.current = onChange;
  });
  const editor = useEditor({
    extensions: [
      ...tableNodes,
      StarterKit.configure({
        heading: { levels: [2, 3] },
        strike: false,
        underline: false,
        horizontalRule: false,
        trailingNode: false,
        link: {
          openOnClick: false,
          autolink: true,
          protocols: ['mailto', 'tel'],
          HTMLAttributes: { rel: 'noopener', target: null },
        },
      }),
    ],
    content: text.content.length > 0 ? text : '',
    injectCSS: false,
    editorProps: {
      handleKeyDown: (view, event) => {
        const { $from, empty } = view.state.selection;
        const blank = empty && $from.parent.type.name === 'paragraph' && $from.parent.content.size === 0;
        if (event.key !== '/' || !blank) return false;
        event.preventDefault();
        typing.current?.flush();
        slash.current();
        return true;
      },
      handlePaste: (_, event) => {
        const html = event.clipboardData?.getData('text/html') ?? '';
        // What was copied in this editor, and words without structure, it takes in by itself.
        if (html === '' || html.includes('data-pm-slice')) return false;
        event.preventDefault();
        paste.current(html, [...(event.clipboardData?.files ?? [])], insert.current);
        return true;
      },
      attributes: {
        class: 'prose words-editor',
        'aria-label': 'Words',
        role: 'textbox',
        'aria-multiline': 'true',
      },
    },
    onUpdate: () => typing.current?.typed(),
    onBlur: () => typing.current?.flush(),
  });
  useLayoutEffect(() => {
    if (!editor) return;
    const pause = new TypingPause({
      take: () => {
        const parsed = richTextSchema.safeParse(editor.getJSON());
        if (parsed.success) change.current(parsed.data);
      },
      onWaits: setTyping,
    });
    typing.current = pause;
    const leaving = () => pause.flush();
    // Before the queue of what is to be saved listens, so that it gets these words too.
    window.addEventListener('pagehide', leaving, { capture: true });
    return () => {
      window.removeEventListener('pagehide', leaving, { capture: true });
      pause.flush();
      typing.current = null;
    };
  }, [editor, setTyping]);
  useEffect(() => {
    insert.current = (blocks) => {
      const [only] = blocks;
      // One paragraph goes on where the caret stands, in whatever it stands.
      const content = blocks.length === 1 && only?.type === 'paragraph' ? (only.content ?? []) : blocks;
      editor
        ?.chain()
        .focus()
        .insertContent(content as JSONContent[])
        .run();
    };
  }, [editor]);
  useEffect(() => {
    if (!editor) return;
    const found = at && editor.view.posAtCoords({ left: at.x, top: at.y });
    editor.commands.focus(found ? found.pos : 'end', { scrollIntoView: false });
    // Only when it opens: later clicks are the editor's own.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [editor]);
  useEffect(() => {
    // Newer words stand here and are on their way.
    if (!editor || typing.current?.waits) return;
    const now = richTextSchema.safeParse(editor.getJSON());
    const shown = editor.schema.nodeFromJSON(
      text.content.length > 0 ? text : { type: 'doc', content: [{ type: 'paragraph' }] },
    );
    // The same words came back from the server: leave the caret alone. Other words came from undo or another tab.
    if (now.success && editor.schema.nodeFromJSON(now.data).eq(shown)) return;
    editor.commands.setContent(shown.toJSON() as RichText, { emitUpdate: false });
  }, [editor, text]);
  if (!editor) return children(null, null);
  return children(<Tools editor={editor} />, <EditorContent editor={editor} />);
}
