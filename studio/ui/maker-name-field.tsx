import { useSite } from '../api/site-context.tsx';
import { Field } from './field.tsx';

/** Under whose name the work of this site goes, in credit lines and for machines. */
export function MakerNameField() {
  const { state, changeSite } = useSite();
  const { by, title } = state.site;
  return (
    <Field
      label="Your name on this site"
      hint="initials are fine"
      value={by}
      maxLength={80}
      placeholder={title}
      onChange={(event) => changeSite({ by: event.target.value }, 'Name of the maker')}
    />
  );
}
