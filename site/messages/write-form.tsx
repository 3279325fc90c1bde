import { useContext } from 'react';
import {
  type Message,
  type MessageField,
  type MessageFaults,
  messageLimits,
} from '#core/messages/message.ts';
import { useSlots } from '../components/slots.ts';
import { SpokenContext } from '../render/words.ts';

/** A field that people do not see and programs fill in. It is called like one they look for. */
export const trapField = 'website';
/** Names the form on a page that is answered in its place. */
export const placeField = 'place';
/** What the form is called on its page. */
export const formId = (place: string): string => `write-${place}`;

/** How far a message is: what is still wrong with it, or why it was not sent. */
export interface WriteState {
  typed: Message;
  faults: MessageFaults;
  /** Why it was not sent, where it is not for a fault of a field. */
  problem: string | null;
}
const nothing: WriteState = { typed: { name: '', from: '', words: '' }, faults: {}, problem: null };

/**
 * The form by which readers write to the maker. It needs no script, and sends to the page it stands on.
 *
 * @param place names it on its page
 */
export function WriteForm({ place, state = nothing }: { place: string; state?: WriteState }) {
  const { words, lang } = useContext(SpokenContext);
  const inStudio = Boolean(useSlots().part);
  const id = formId(place);
  const { write } = words;
  const { typed, faults, problem } = state;
  const firstFault = (['name', 'from', 'words'] as const).find((field) => faults[field]);
  const said = (field: MessageField) => {
    const fault = faults[field];
    return {
      'aria-invalid': fault ? true : undefined,
      'aria-describedby':
        [fault && `${id}-${field}-fault`, field === 'from' && `${id}-why`].filter(Boolean).join(' ') ||
        undefined,
      autoFocus: field === firstFault,
      required: true,
      maxLength: messageLimits[field],
      name: field,
      id: `${id}-${field}`,
      defaultValue: typed[field],
    };
  };
  const fault = (field: MessageField) => {
    const what = faults[field];
    return what ? (
      <p className="fault" id={`${id}-${field}-fault`}>
        {write.faults[field][what]}
      </p>
    ) : null;
  };
  return (
    <form
      className="write"
      id={formId(place)}
      method="post"
      noValidate
      // A page that is being made sends nothing.
      inert={inStudio}
      {...lang}
    >
      {(problem || firstFault) && (
        <div className="not-yet" role="alert">
          <h3>{write.notYet}</h3>
          {problem && <p>{problem}</p>}
        </div>
      )}
      <input type="hidden" name={placeField} value={place} />
      <div className="one">
        <label htmlFor={`${id}-name`}>{write.name}</label>
        <input type="text" autoComplete="name" {...said('name')} />
        {fault('name')}
      </div>
      <div className="one">
        <label htmlFor={`${id}-from`}>{write.from}</label>
        <input type="email" autoComplete="email" spellCheck={false} {...said('from')} />
        {fault('from')}
        <p className="why" id={`${id}-why`}>
          {write.why}
        </p>
      </div>
      <div className="one">
        <label htmlFor={`${id}-words`}>{write.words}</label>
        <textarea rows={6} {...said('words')} />
        {fault('words')}
      </div>
      {/* Not taken out of the page: programs look for that. */}
      <div className="unseen" aria-hidden="true">
        <label htmlFor={`${id}-trap`}>{write.trap}</label>
        <input type="text" id={`${id}-trap`} name={trapField} tabIndex={-1} autoComplete="off" />
      </div>
      <button type="submit">{write.over}</button>
    </form>
  );
}
