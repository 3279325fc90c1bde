import { X } from 'lucide-react';
import { useState } from 'react';
import { readTags, withoutTag, withTags } from '#core/materials/tags.ts';
import { Field } from './field.tsx';

interface TagFieldProps {
  tags: readonly string[];
  onChange: (tags: string[]) => void;
}

/** Tags, added with Enter or a comma and taken off one by one. */
export function TagField({ tags, onChange }: TagFieldProps) {
  const [typed, setTyped] = useState('');
  const add = (text: string) => {
    setTyped('');
    const after = withTags(tags, readTags(text));
    if (after.length !== tags.length) onChange(after);
  };
  return (
    <div>
      <Field
        label="Tags"
        hint="Enter or a comma adds one"
        value={typed}
        onChange={(event) =>
          event.target.value.endsWith(',') ? add(event.target.value) : setTyped(event.target.value)
        }
        onBlur={() => add(typed)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          add(typed);
        }}
      />
      {tags.length > 0 && (
        <ul className="mt-2 flex flex-wrap gap-1" aria-label="Tags it has">
          {tags.map((tag) => (
            <li key={tag} className="flag">
              {tag}
              <button
                type="button"
                className="grid size-6 place-items-center"
                aria-label={`Take off the tag ${tag}`}
                onClick={() => onChange(withoutTag(tags, tag))}
              >
                <X size={13} aria-hidden="true" />
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
