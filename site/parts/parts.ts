import { AgendaPart } from './agenda/agenda-part.tsx';
import { isKnownPart, type PartKind } from '#core/parts/parts.ts';
import { ClipPart } from './clip/clip-part.tsx';
import { ComparePart } from './compare/compare-part.tsx';
import { ContactPart } from './contact/contact-part.tsx';
import { CreditsPart } from './credits/credits-part.tsx';
import { DecisionsPart } from './process/decisions-part.tsx';
import { DocumentPart } from './document/document-part.tsx';
import { EarlyLatePart } from './early-late/early-late-part.tsx';
import { EvidencePart } from './evidence/evidence-part.tsx';
import { GalleryPart } from './gallery/gallery-part.tsx';
import { LinkPart } from './link/link-part.tsx';
import { drawing, type PartDrawing } from './part-drawing.ts';
import { AvailabilityPart } from './person/availability-part.tsx';
import { LanguagesPart } from './person/languages-part.tsx';
import { FullNamePart, HeadlinePart, PronounsPart } from './person/line-parts.tsx';
import { PlacePart } from './person/place-part.tsx';
import { PortraitPart } from './person/portrait-part.tsx';
import { ProfilesPart } from './person/profiles-part.tsx';
import { TellingPart } from './person/telling-part.tsx';
import { PicturePart } from './picture/picture-part.tsx';
import { ProcessPart } from './process/process-part.tsx';
import { QuotePart } from './quote/quote-part.tsx';
import { ReflectionPart } from './reflection/reflection-part.tsx';
import { EntryPart } from './resume/entry-part.tsx';
import { TablePart } from './table/table-part.tsx';
import { SoundPart } from './sound/sound-part.tsx';
import { WordsPart } from './words/words-part.tsx';

/** How each kind of part is drawn. */
const partDrawings: { [K in PartKind]: PartDrawing<K> } = {
  words: drawing(WordsPart),
  picture: drawing(PicturePart),
  gallery: drawing(GalleryPart),
  document: drawing(DocumentPart),
  sound: drawing(SoundPart),
  clip: drawing(ClipPart),
  link: drawing(LinkPart, { linkForm: ({ form }) => form }),
  quote: drawing(QuotePart),
  agenda: drawing(AgendaPart),
  compare: drawing(ComparePart),
  'early-late': drawing(EarlyLatePart),
  evidence: drawing(EvidencePart),
  reflection: drawing(ReflectionPart),
  credits: drawing(CreditsPart),
  contact: drawing(ContactPart),
  table: drawing(TablePart),
  portrait: drawing(PortraitPart),
  'full-name': drawing(FullNamePart),
  headline: drawing(HeadlinePart),
  pronouns: drawing(PronounsPart),
  place: drawing(PlacePart),
  availability: drawing(AvailabilityPart),
  languages: drawing(LanguagesPart),
  profiles: drawing(ProfilesPart),
  telling: drawing(TellingPart),
  // What there is to draw of a version are its entries.
  version: drawing(() => null),
  entry: drawing(EntryPart),
  process: drawing(ProcessPart),
  decisions: drawing(DecisionsPart),
  // Moments are drawn by process parts.
  moment: drawing(() => null),
};

/** A kind that only a newer version knows: nothing of it is drawn. */
const unknownKind = drawing<PartKind>(() => null);

/** How a part is drawn, whatever its kind. */
export const drawingOf = <K extends PartKind>(part: { kind: K }): PartDrawing<K> =>
  isKnownPart(part) ? partDrawings[part.kind] : (unknownKind as unknown as PartDrawing<K>);
