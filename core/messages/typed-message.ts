import { wellFormed } from '../words/well-formed.ts';
import {
  type MessageFault,
  type MessageField,
  messageLimits,
  messageSchema,
  type TypedMessage,
} from './message.ts';

/** Names and addresses stand in headers of mails: they are one line. */
const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

function faultOf(field: MessageField, text: string): MessageFault | null {
  if (text === '') return 'missing';
  if (text.length > messageLimits[field]) return 'long';
  return messageSchema.shape[field].safeParse(text).success ? null : 'wrong';
}

/**
 * What a form sent, as a message. What is wrong with a field is told, and what was typed is given back whole, so that nobody has to
 * type it twice.
 *
 * @param fields as they came: anything
 */
export function typedMessage(fields: unknown): TypedMessage {
  const given = typeof fields === 'object' && fields !== null ? (fields as Record<string, unknown>) : {};
  const text = (name: string) => {
    const value = given[name];
    return typeof value === 'string' ? wellFormed(value) : '';
  };
  const typed = {
    name: oneLine(text('name')),
    from: oneLine(text('from')),
    words: text('words').replace(/\r\n?/g, '\n').trim(),
  };
  const faults = Object.fromEntries(
    (Object.keys(typed) as MessageField[])
      .map((field) => [field, faultOf(field, typed[field])] as const)
      .filter(([, fault]) => fault !== null),
  );
  return { typed, faults };
}
