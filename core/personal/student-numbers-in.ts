const says = String.raw`(?:student|matriculation|matric|matr|enrol?lment|candidate|registration|matrikel|immatrikulations|[ée]tudiante?|estudiante|matr[ií]cula|expediente)`;
/** "Student no. 4410872", "Matrikelnummer: 4410872", "numéro d’étudiant 22104417". */
const after = new RegExp(
  String.raw`(?<!\p{L})${says}[\s.-]{0,2}(?:number|no|nr|num|id|nummer|n[uú]mero|n[º°])?(?![\p{L}])[\s.:#=–-]{0,4}([A-Z]{0,4}[-/]?\d{5,10}[A-Z]?)(?!\d)`,
  'giu',
);
const numbered = new RegExp(
  String.raw`(?<!\p{L})(?:n[uú]m[eé]ro|n[º°])\s(?:d['’]|de\s)?(?:estudiante|matr[ií]cula|expediente|[ée]tudiante?)[\s.:#=–-]{0,4}([A-Z]{0,4}[-/]?\d{5,10}[A-Z]?)(?!\d)`,
  'giu',
);

/** Numbers that some words call a student's. @returns the numbers as they stand there */
export const studentNumbersIn = (text: string): string[] =>
  [after, numbered].flatMap((one) => [...text.matchAll(one)].flatMap((match) => match[1] ?? []));
