import { plainWords } from '../words/plain-words.ts';

/** Whether people are called so in several places, or here and there, by a word in small letters without accents. */
export type Called = (word: string) => 'often' | 'seldom' | null;

/** Given names that are other words for the most part where they begin what is written large, in the four languages of our sites. */
const otherWords = new Set(
  [
    'the an any my our all one two first second next last new old big great good north south east west san santa saint st',
    'january april may june july august summer autumn winter spring sunday easter noel navidad',
    'art will mark grant page case rose amber ruby pearl jade ivy holly olive iris river stone steel iron wood glass brick blue',
    'rock star sun moon sky hope faith joy grace dawn chance ace king prince royal major general doctor dr mr mrs ms miss sir',
    'ein eine das die der den dem im am zu haus wolf engel ernst heide rot blau see',
    'allee rue quai le la les l un une des du de en et a au ma mon son sa ce pierre rouge bleu mer port',
    'el los las uno una del al y sol luz mar cruz rio rosa blanca flor',
  ].flatMap((line) => line.split(' ')),
);

/** What stands behind somebody's name where it is no longer theirs: streets, houses, prizes, companies. */
const notFamily = new Set(
  [
    'street st road rd lane avenue ave drive square place court row terrace way close hill bridge park garden gardens',
    'path field fields view lea end walk rise grove green crescent wharf quay harbour island islands lake river valley',
    'house hall school college university institute academy museum gallery library theatre church hospital centre center station',
    'award prize foundation trust fund company co inc ltd llc gmbh ag press studio studios workshop club team group project projects',
    'strasse str weg platz allee gasse ring ufer schule gymnasium haus museum preis stiftung verein gruppe',
    'rue place avenue quai allee boulevard ecole lycee college musee prix fondation',
    'calle plaza avenida paseo escuela instituto museo premio fundacion',
    'january february march april may june july august september october november december',
    'monday tuesday wednesday thursday friday saturday sunday',
  ].flatMap((line) => line.split(' ')),
);

/** Who has one of these before them is a thing: a make of car, a breed, a street. */
const articles = new Set(
  'a an the this der die das ein eine einen einem dem le la les un une el los las una'.split(' '),
);

/** What begins a sentence before somebody's name, and is large only for that: it makes no title of what follows. */
const opening = new Set(
  [
    'with by from for to and or but after before when while because if then thanks thank ask call ring tell meet email contact see',
    'here photo photos picture pictures drawing drawings drawn made built mr mrs ms miss dr prof professor tutor supervisor',
    'mit von für bei und oder aber dank danke frag frage ruf rufe foto fotos bild bilder herr frau betreut gebaut gemacht',
    'avec par pour chez et mais merci appelez photo photos dessin dessins monsieur madame',
    'con por para y pero gracias llama foto fotos dibujo dibujos señor señora',
  ].flatMap((line) => line.split(' ').map(plainWords)),
);

/** Small words within names. */
const particles = new Set(
  'van von de der den del della di da dos du des la le los las zu zur ter ten af al bin ibn el y e'.split(
    ' ',
  ),
);

const fold = (word: string): string => plainWords(word).replace(/[’']s?$/u, '');

const isLarge = (word: string): boolean => /^(?:[DOdL][’'])?\p{Lu}[\p{L}\p{M}’'-]*\p{Ll}/u.test(word);
const isInitial = (word: string): boolean => /^\p{Lu}\.?$/u.test(word);

interface Word {
  word: string;
  /** Where it begins. */
  at: number;
  /** What stands between it and the one before. */
  after: string;
}

function wordsOf(text: string): Word[] {
  let end = 0;
  return [...text.matchAll(/[\p{L}\p{M}\p{N}]+(?:[’'-][\p{L}\p{M}\p{N}]+)*/gu)].map(({ 0: word, index }) => {
    const after = text.slice(end, index);
    end = index + word.length;
    return { word, at: index, after };
  });
}

/** Words of a name lie on one line, with one gap between them; behind an initial there may be a point. */
const isClose = (after: string): boolean => /^\.?[ \u00A0\u202F]$/.test(after);

/** How many words a name has at most before its family's. */
const mostBefore = 5;

/** Where a name that begins with a word ends: the place of its last word, and the end of it in the text. */
function nameFrom(words: readonly Word[], first: number): { last: number; end: number } | null {
  for (let next = first + 1; next <= first + mostBefore; next++) {
    const [before, here] = [words[next - 1], words[next]];
    if (!before || !here || !isClose(here.after)) return null;
    if (here.after.startsWith('.') && !isInitial(before.word)) return null;
    if (particles.has(here.word) || isInitial(here.word)) continue;
    const family = here.word.replace(/[’']s$/u, '');
    const folded = fold(family);
    if (!isLarge(family) || notFamily.has(folded) || /(?:stra(?:ß|ss)e|weg|platz|gasse|allee)$/u.test(folded))
      return null;
    return { last: next, end: here.at + family.length };
  }
  return null;
}

/** Words around it are small, or large only as a sentence's first: it is no piece of a title, in which all of them are large. */
function standsAlone(words: readonly Word[], first: number, last: number): boolean {
  const [here, before, behind] = [words[first], words[first - 1], words[last + 1]];
  const isJoined = (word: Word | undefined, gap: string | undefined) =>
    word !== undefined && isLarge(word.word) && isClose(gap ?? '');
  const opens =
    before !== undefined && !/^[ \u00A0\u202F]$/.test(before.after) && opening.has(fold(before.word));
  return (opens || !isJoined(before, here?.after)) && !isJoined(behind, behind?.after);
}

/**
 * What looks like somebody's whole name: a given one, and behind it what may be a family's. A question, never a proof.
 *
 * @param texts of one maker, so that what is written small in one of them is no name in another
 */
export function peopleIn(texts: readonly string[], called: Called): string[] {
  const all = texts.map(wordsOf);
  const small = new Set(
    all.flatMap((words) => words.flatMap(({ word }) => (/^\p{Ll}/u.test(word) ? [fold(word)] : []))),
  );
  const givenName = (word: string): ReturnType<Called> => {
    const given = fold(word.split('-')[0] ?? '');
    const isOther = given.length < 2 || otherWords.has(given) || small.has(given);
    return isLarge(word) && !isOther ? called(given) : null;
  };
  const found = new Set<string>();
  for (const [of, words] of all.entries())
    for (let at = 0; at < words.length; at++) {
      const here = words[at];
      const given = here && givenName(here.word);
      const name = given && nameFrom(words, at);
      if (!name) continue;
      const isThing = articles.has(words[at - 1]?.word.toLowerCase() ?? '') && isClose(here.after);
      if (isThing || (given === 'seldom' && !standsAlone(words, at, name.last))) continue;
      found.add((texts[of] ?? '').slice(here.at, name.end));
      at = name.last;
    }
  return [...found];
}
