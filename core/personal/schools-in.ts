const name = String.raw`\p{Lu}(?:[\p{L}'’.-]*\p{L})?`;
/** How a school, and a class of one, is named (common practice). */
const patterns = [
  // Harbour View School, Tern Bay High School
  String.raw`(?<!\p{L})(?:${name}\s){1,3}(?:School|Academy|College|Gymnasium|Gesamtschule|Realschule|Grundschule|Hauptschule)(?!\p{L})`,
  // Hafen-Gymnasium, Küstenschule
  String.raw`(?<!\p{L})\p{Lu}[\p{L}-]{2,}(?:-Gymnasium|-Gesamtschule|-Realschule|-Schule|gymnasium|gesamtschule|realschule|grundschule)(?!\p{L})`,
  // Lycée du Port, Colegio San Telmo, IES La Marina
  String.raw`(?<!\p{L})(?:[Ll]ycée|[Cc]ollège|[Éé]cole|[Cc]olegio|[Ii]nstituto|IES)\s(?:(?:de|du|des|del|la|le|les|las|los)\s){0,2}${name}(?:\s${name}){0,2}`,
  // Year 10, Grade 9b, form 8C
  String.raw`(?<!\p{L})(?:[Yy]ear|[Gg]rade|[Ff]orm|[Cc]lass)\s(?:1[0-3]|[1-9])[A-Za-z]?(?![\p{L}\d.,]*\d)(?!\p{L})`,
  String.raw`(?<!\p{L})Klasse\s(?:1[0-3]|[1-9])\s?[a-zA-Z]?(?!\p{L})`,
  String.raw`(?<!\p{L})[Cc]lasse\sde\s(?:[3-6]e|2nde|1re|[Tt]erminale|[Ss]econde|[Pp]remière)(?!\p{L})`,
  String.raw`(?<![\p{L}\d])[1-4]\.?º\s(?:de\s)?(?:la\s)?(?:ESO|[Bb]achillerato)(?:\s[A-F])?(?!\p{L})`,
].map((one) => new RegExp(one, 'gu'));

/** Schools and classes that are named: by both somebody who is there every day is found. @returns each as it stands there */
export const schoolsIn = (text: string): string[] => patterns.flatMap((one) => text.match(one) ?? []);
