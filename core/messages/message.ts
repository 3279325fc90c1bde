import { z } from 'zod';

/** What somebody writes to a maker at most; in characters. */
export const messageLimits = { name: 80, from: 254, words: 4000 } as const;
export type MessageField = keyof typeof messageLimits;

/** What a reader writes to a maker: who they are, where an answer reaches them, and what they have to say. */
export const messageSchema = z.object({
  name: z.string().min(1).max(messageLimits.name),
  from: z.email().max(messageLimits.from),
  words: z.string().min(1).max(messageLimits.words),
});
export type Message = z.infer<typeof messageSchema>;

/** What is wrong with one field. */
export type MessageFault = 'missing' | 'long' | 'wrong';
export type MessageFaults = Partial<Record<MessageField, MessageFault>>;

/** A message as it was typed, and what is wrong with it; nothing is wrong where `faults` is empty. */
export interface TypedMessage {
  typed: Message;
  faults: MessageFaults;
}
