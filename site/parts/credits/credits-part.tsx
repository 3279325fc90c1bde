import { CreditsView } from '../../components/credits-view.tsx';
import type { PartViewProps } from '../part-drawing.ts';

export function CreditsPart({ part }: PartViewProps<'credits'>) {
  return <CreditsView credits={part.credits} />;
}
