import type { Page } from '#core/content/page.ts';
import type { Part } from '#core/content/part.ts';
import { ComparePanel } from './compare-panel.tsx';
import { ContactPanel } from './contact-panel.tsx';
import { CreditsPanel } from './credits-panel.tsx';
import { EvidencePanel } from './evidence-panel.tsx';
import { LinkPanel } from './link-panel.tsx';
import { MediumPanel } from './medium-panel.tsx';
import { GalleryPanel, PicturePanel } from './picture-panels.tsx';
import { QuotePanel } from './quote-panel.tsx';
import { ReflectionPanel } from './reflection-panel.tsx';

interface PartPanelProps {
  part: Part;
  page: Page;
  onChange: (part: Part) => void;
  /** Puts parts in the place of this one. */
  onReplace: (parts: Part[]) => void;
}

/** What can be set below a selected part; words are set in their own toolbar. */
export function PartPanel({ part, page, onChange, onReplace }: PartPanelProps) {
  switch (part.kind) {
    case 'words':
      return null;
    case 'picture':
      return <PicturePanel part={part} onChange={onChange} />;
    case 'gallery':
      return <GalleryPanel part={part} onChange={onChange} />;
    case 'document':
    case 'sound':
    case 'clip':
      return <MediumPanel part={part} pageTitle={page.title} onChange={onChange} onReplace={onReplace} />;
    case 'link':
      return <LinkPanel part={part} onChange={onChange} />;
    case 'quote':
      return <QuotePanel part={part} onChange={onChange} />;
    case 'compare':
      return <ComparePanel part={part} onChange={onChange} />;
    case 'evidence':
      return <EvidencePanel part={part} page={page} onChange={onChange} />;
    case 'reflection':
      return <ReflectionPanel part={part} onChange={onChange} />;
    case 'credits':
      return <CreditsPanel page={page} />;
    case 'contact':
      return <ContactPanel key={part.id} part={part} onChange={onChange} />;
  }
}
