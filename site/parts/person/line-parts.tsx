import type { PartViewProps } from '../part-drawing.ts';

/** The name that stands on certificates, below the one its maker goes by. */
export const FullNamePart = ({ part }: PartViewProps<'full-name'>) => (
  <p className="full-name">{part.text}</p>
);

/** What the maker is or does, in a line. */
export const HeadlinePart = ({ part }: PartViewProps<'headline'>) => <p className="headline">{part.text}</p>;

export const PronounsPart = ({ part }: PartViewProps<'pronouns'>) => <p className="meta">{part.text}</p>;
