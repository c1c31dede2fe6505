import { richTextFrom } from '@green-beam/contract';
import { Bold } from '@tiptap/extension-bold';
import { Document } from '@tiptap/extension-document';
import { BulletList, ListItem, ListKeymap, OrderedList } from '@tiptap/extension-list';
import { Paragraph } from '@tiptap/extension-paragraph';
import { Subscript } from '@tiptap/extension-subscript';
import { Superscript } from '@tiptap/extension-superscript';
import { Text } from '@tiptap/extension-text';
import { UndoRedo } from '@tiptap/extensions';
import { EditorContent, useEditor, useEditorState, type Editor } from '@tiptap/react';
import {
  Bold as BoldIcon,
  List,
  ListOrdered,
  Redo2,
  Subscript as SubscriptIcon,
  Superscript as SuperscriptIcon,
  Undo2,
  type LucideIcon,
} from 'lucide-react';
import { useEffect, useRef, type ReactNode } from 'react';

const EXTENSIONS = [
  Document,
  Paragraph,
  Text,
  Bold,
  Superscript,
  Subscript,
  BulletList,
  OrderedList,
  ListItem,
  ListKeymap,
  UndoRedo,
];

interface Tool {
  readonly name: string;
  readonly shown: ReactNode;
  readonly isOn: (editor: Editor) => boolean;
  readonly run: (editor: Editor) => void;
}

const icon = (Icon: LucideIcon): ReactNode => <Icon aria-hidden="true" size={18} />;

const TOOLS: readonly Tool[] = [
  {
    name: 'Bold',
    shown: icon(BoldIcon),
    isOn: (editor) => editor.isActive('bold'),
    run: (editor) => editor.chain().focus().toggleBold().run(),
  },
  {
    name: 'Superscript',
    shown: icon(SuperscriptIcon),
    isOn: (editor) => editor.isActive('superscript'),
    run: (editor) => editor.chain().focus().unsetSubscript().toggleSuperscript().run(),
  },
  {
    name: 'Subscript',
    shown: icon(SubscriptIcon),
    isOn: (editor) => editor.isActive('subscript'),
    run: (editor) => editor.chain().focus().unsetSuperscript().toggleSubscript().run(),
  },
  {
    name: 'List',
    shown: icon(List),
    isOn: (editor) => editor.isActive('bulletList'),
    run: (editor) => editor.chain().focus().toggleBulletList().run(),
  },
  {
    name: 'Numbered list',
    shown: icon(ListOrdered),
    isOn: (editor) => editor.isActive('orderedList'),
    run: (editor) => editor.chain().focus().toggleOrderedList().run(),
  },
];

function Tools({ editor, label }: { readonly editor: Editor; readonly label: string }): ReactNode {
  const state = useEditorState({
    editor,
    selector: ({ editor: now }) => ({
      on: TOOLS.map(({ isOn }) => isOn(now)),
      canUndo: now.can().undo(),
      canRedo: now.can().redo(),
    }),
  });
  const button = 'inline-flex size-11 items-center justify-center border-b-2 hover:bg-wash disabled:opacity-40';
  return (
    <div role="group" aria-label={`Markup of ${label.toLowerCase()}`} className="flex flex-wrap">
      {TOOLS.map(({ name, shown, run }, i) => (
        <button
          key={name}
          type="button"
          aria-label={name}
          title={name}
          aria-pressed={state.on[i] ?? false}
          className={`${button} ${state.on[i] ? 'border-beam' : 'border-transparent'}`}
          onClick={() => run(editor)}
        >
          {shown}
        </button>
      ))}
      <button
        type="button"
        aria-label="Undo"
        title="Undo"
        disabled={!state.canUndo}
        className={`${button} ml-auto border-transparent`}
        onClick={() => editor.chain().focus().undo().run()}
      >
        {icon(Undo2)}
      </button>
      <button
        type="button"
        aria-label="Redo"
        title="Redo"
        disabled={!state.canRedo}
        className={`${button} border-transparent`}
        onClick={() => editor.chain().focus().redo().run()}
      >
        {icon(Redo2)}
      </button>
    </div>
  );
}

/** Written down after so long without a key, in ms, and when the field is left. */
const PAUSE = 3000;

interface RichTextEditorProps {
  readonly label: string;
  readonly hint: string;
  /** As it stands in the log. */
  readonly standing: string;
  readonly onWrite: (text: string) => void;
}

/** A part of a report that is written: plain text with lists, bold, raised and lowered letters. */
export default function RichTextEditor({ label, hint, standing, onWrite }: RichTextEditorProps): ReactNode {
  const written = useRef(standing);
  const write = useRef(onWrite);
  useEffect(() => {
    write.current = onWrite;
  }, [onWrite]);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const keep = (editor: Editor): void => {
    clearTimeout(timer.current);
    const text = editor.isEmpty ? '' : JSON.stringify(editor.getJSON());
    if (text === written.current) return;
    written.current = text;
    write.current(text);
  };
  const editor = useEditor({
    extensions: EXTENSIONS,
    content: richTextFrom(standing) as object | null,
    injectCSS: false,
    immediatelyRender: true,
    editorProps: {
      attributes: {
        role: 'textbox',
        'aria-multiline': 'true',
        'aria-label': label,
        class: 'rich-text min-h-24 bg-surface px-3 py-2',
      },
    },
    onUpdate: ({ editor: now }) => {
      clearTimeout(timer.current);
      timer.current = setTimeout(() => keep(now), PAUSE);
    },
    onBlur: ({ editor: now }) => keep(now),
  });
  // What somebody else of the group has written is shown, unless this one is being written.
  useEffect(() => {
    if (standing === written.current || editor.isFocused) return;
    written.current = standing;
    editor.commands.setContent(richTextFrom(standing) as object | null, { emitUpdate: false });
  }, [standing, editor]);
  const keepNow = useRef(keep);
  useEffect(() => {
    keepNow.current = keep;
  });
  useEffect(
    () => () => {
      if (!editor.isDestroyed) keepNow.current(editor);
    },
    [editor],
  );
  return (
    <div className="mt-5 max-w-3xl">
      <p className="font-semibold">{label}</p>
      <p className="text-small text-muted">{hint}</p>
      <div className="mt-1 border-b-2 border-ink">
        <Tools editor={editor} label={label} />
        <EditorContent editor={editor} />
      </div>
    </div>
  );
}
