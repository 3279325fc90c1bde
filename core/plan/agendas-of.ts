import type { Agenda } from '../parts/agenda.ts';
import { isKnownPart, type Part } from '../parts/parts.ts';

export const isAgenda = (part: Part): part is Agenda => isKnownPart(part) && part.kind === 'agenda';
