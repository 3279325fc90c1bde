import { plainWords } from '../../words/plain-words.ts';
import type { ResumeSection } from '../sections.ts';

/** What sections are called on résumés, in English and in some other languages (common practice). */
const names: Record<ResumeSection, string> = {
  goals:
    'summary|professional summary|profile|personal profile|objective|career objective|goals|about|about me|profil|ziel|perfil|objetivo',
  work: 'work|work experience|experience|professional experience|relevant experience|employment|employment history|work history|career history|berufserfahrung|praktika|experience professionnelle|experiencia|experiencia laboral',
  volunteering:
    'volunteer|volunteering|volunteer experience|volunteer work|voluntary work|community|community involvement|ehrenamt|benevolat|voluntariado',
  projects:
    'projects|selected projects|personal projects|academic projects|portfolio|projekte|projets|proyectos',
  education:
    'education|academic background|education and training|studies|qualifications|ausbildung|bildung|formation|educacion|formacion',
  skills:
    'skills|technical skills|key skills|core skills|skills and tools|expertise|competencies|technologies|kenntnisse|fahigkeiten|competences|habilidades',
  certificates:
    'certificates|certifications|licenses|licenses and certifications|licenses and certificates|certificates and licenses|certifications and licenses|courses|zertifikate|certificats|certificados',
  awards:
    'awards|honors|honours|awards and honors|awards and honours|honors and awards|prizes|achievements|auszeichnungen|prix|premios',
  publications: 'publications|selected publications|papers|publikationen|veroffentlichungen|publicaciones',
  languages: 'languages|language skills|sprachen|sprachkenntnisse|langues|idiomas',
  interests:
    'interests|hobbies|hobbies and interests|interests and hobbies|interessen|loisirs|centres d interet|intereses',
  references: 'references|referees|recommendations|testimonials|referenzen|recommandations|referencias',
};
const sections = new Map(
  Object.entries(names).flatMap(([section, all]) =>
    all.split('|').map((name) => [name, section as ResumeSection]),
  ),
);

/** The section that a heading names; null for other words. */
export const sectionNamed = (heading: string): ResumeSection | null =>
  sections.get(
    plainWords(heading)
      .replace(/&/g, 'and')
      .replace(/licence/g, 'license')
      .replace(/[^\p{L}\s]/gu, ' ')
      .replace(/\s+/g, ' ')
      .trim(),
  ) ?? null;
