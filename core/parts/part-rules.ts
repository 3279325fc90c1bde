import type { z } from 'zod';
import type { CreditPiece } from '../credits/credit.ts';
import type { Height } from '../access/height.ts';
import type { Id } from '../id.ts';
import type { Material } from '../materials/material.ts';
import type { Phase } from '../moments/phases.ts';
import type { SeenMoment } from '../moments/seen-moment.ts';
import type { Month } from '../pages/case-facts.ts';
import type { Proof } from '../resume/proof.ts';
import type { PartBase } from './part-base.ts';

/** Something inside a part that has a height of its own. */
export interface Held {
  id: Id;
  height: Height;
}

/** What a part's reader is told that stands outside of it. */
export interface SeenContext {
  /** Whom the page has to name. */
  credits: CreditPiece[][];
  /** Whether they can open a page. */
  opens: (page: Id) => boolean;
  /** Of a project that they can open, what it is called and when it was made; else null. */
  work: (page: Id) => { title: string; from: Month | null; to: Month | 'now' | null } | null;
  /** Whether they can open what proves something. */
  proves: (proof: Proof) => boolean;
  /** Of a process part on this page the moments that they may have, in time. */
  moments: (process: { id: Id }) => SeenMoment[];
  /** Files that the maker offers for download can be downloaded. */
  downloads: boolean;
  /** The site's, in the maker's order. */
  phases: readonly Phase[];
}

/** What there is to know of one kind of part, but for how it is drawn and set. */
export interface PartRules<P extends PartBase & { kind: string }, Seen extends object> {
  schema: z.ZodType<P>;
  /** What it is called where a change of it is told: lower case, without an article. */
  noun: string;
  /**
   * As it is first tied in, without what every part has. A part that shows one material takes the first. Things in it with
   * heights of their own are named after the part's own id, so that no two are called the same.
   */
  start(materials: readonly Id[], id: Id): Omit<P, keyof PartBase | 'kind'>;
  /** The materials it shows, in reading order; of a part as its maker has it or as readers get it. */
  materials(part: P | Seen): Id[];
  /** Without a material that is deleted or closed. */
  without(part: P, material: Id): P;
  /** With materials put into it; null where it cannot take all of them. None of the materials is there twice. */
  take(part: P, materials: readonly Pick<Material, 'id' | 'kind'>[]): P | null;
  /** A reader would see nothing: it stays in the draft and is left out of every view. */
  isEmpty(part: P): boolean;
  /** What it still needs to be whole, as it goes on after “Needs”; null for nothing. Alt text and transcripts are asked for elsewhere. */
  needs(part: P): string | null;
  /**
   * What readers get of it, member by member, besides its id, kind and place: what is not named here stays its maker's.
   * Null when there is nothing for them.
   */
  seen(part: P, context: SeenContext): Seen | null;
  /** Things inside it with heights of their own, and the part with each of them changed or, for null, left out. */
  held: {
    of(part: P): readonly Held[];
    map(part: P, change: <H extends Held>(held: H) => H | null): P;
  } | null;
  /** What was done to a part that readers have already, in a few words. */
  changed(was: P, now: P): string;
  /** Materials whose own file readers may download. */
  downloads(part: Seen): Id[];
  /**
   * It is tied in a room of its own and not in Compose. It tells of the maker: facts, which are drawn together, words of their own, or
   * what makes up the résumé. Or it is a moment, which process parts draw.
   */
  tiedIn?: 'facts' | 'words' | 'resume' | 'moments';
  /** How high it flies at most while its maker is under 18. */
  mostUnderAge?(part: P): Height;
  /** How high it is tied in, where that is not as high as the page. */
  startsAt?: Height;
  /** Of several of this kind a reader gets only the one of which this is lowest, of equal ones the first. */
  preferred?(part: P): number;
  /** It names those whom the page has to credit, so that the page itself need not. */
  givesCredits: boolean;
}

/** Rules that fit most kinds, to be taken over by name. */
export const showsNoMaterial = {
  materials: () => [],
  without: <P>(part: P): P => part,
  take: () => null,
};
export const holdsNothing = {
  held: null,
  downloads: () => [],
  givesCredits: false,
  needs: () => null,
};

/** States the rules of one kind, so that they are checked where they stand. */
export const partRules = <S extends z.ZodType<PartBase & { kind: string }>, Seen extends object>(
  rules: PartRules<z.output<S>, Seen> & { schema: S },
): PartRules<z.output<S>, Seen> & { schema: S } => rules;

/** Whether none of some texts says anything. */
export const allBlank = (...texts: string[]): boolean => texts.every((text) => text.trim() === '');
