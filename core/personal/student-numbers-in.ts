const says = String.raw`(?:student|matriculation|matric|matr|enrol?lment|candidate|registration|matrikel|immatrikulations|[ée]tudiante?|estudiante|matr[ií]cula|expediente)`;
/** In one piece or in groups, with letters before it; a day is none. */
const written = String.raw`((?!\d{4}-\d\d-\d\d|\d\d?([-/])\d\d?\2\d{4})[A-Z]{0,4}[-/]?(?:\d{5,10}|\d{2,6}(?:[-/]\d{2,6}){1,3})[A-Z]?)`;
/** "Student no. 4410872", "Matrikelnummer: 4410872", "numéro d’étudiant 22104417". */
const after = new RegExp(
  String.raw`(?<!\p{L})${says}[\s.-]{0,2}(?:number|no|nr|num|id|nummer|n[uú]mero|n[º°])?(?![\p{L}])[\s.:#=–-]{0,4}${written}(?!\d)`,
  'giu',
);
const numbered = new RegExp(
  String.raw`(?<!\p{L})(?:n[uú]m[eé]ro|n[º°])\s(?:d['’]|de\s)?(?:estudiante|matr[ií]cula|expediente|[ée]tudiante?)[\s.:#=–-]{0,4}${written}(?!\d)`,
  'giu',
);

/** Numbers that some words call a student's. @returns the numbers as they stand there */
export const studentNumbersIn = (text: string): string[] =>
  [after, numbered].flatMap((one) => [...text.matchAll(one)].flatMap((match) => match[1] ?? []));
