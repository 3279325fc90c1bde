import type { ShownPage } from '../pages/page.ts';
import { textsIn } from '../parts/texts-in.ts';

/** Words by which a page offers something for money, in the languages a site can have (common practice). */
const offers: Readonly<Record<string, RegExp>> = {
  en: /\b(?:for sale|on sale|buy (?:yours|now|here)|order (?:yours|now|here)|(?:my|our|the online|web) shop|price list|prices? on request|(?:take|taking|accept|accepting|open (?:to|for)) commissions?|made to order)\b/i,
  de: /(?<!\p{L})(?:zu verkaufen|zum verkauf|(?:jetzt|hier) (?:kaufen|bestellen)|online-?shop|mein shop|preisliste|preis auf anfrage|(?:nehme|übernehme) aufträge|auf bestellung)(?!\p{L})/iu,
  fr: /(?<!\p{L})(?:à vendre|en vente|(?:acheter|commander) (?:ici|en ligne)|commandez|achetez|ma boutique|boutique en ligne|mes tarifs|prix sur demande|sur commande)(?!\p{L})/iu,
  es: /(?<!\p{L})(?:a la venta|en venta|se vende|comprar (?:aquí|ahora)|cómpral[oa]|mi tienda|tienda en línea|lista de precios|precio a consultar|por encargo|acepto encargos)(?!\p{L})/iu,
};

/**
 * The words by which a page offers something for money, as they stand there.
 *
 * @param language of the site, where the page has none of its own
 * @returns null where it seems to offer nothing; what something cost to make is no offer
 */
export function sellsBy(page: ShownPage, language: string): string | null {
  const words = offers[(page.language ?? language).slice(0, 2)];
  if (!words) return null;
  for (const text of [page.title, page.summary, ...page.parts.flatMap((part) => textsIn(part))]) {
    const found = words.exec(text);
    if (found) return found[0];
  }
  return null;
}
