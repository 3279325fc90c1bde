const name = String.raw`\p{Lu}(?:[\p{L}'’.-]*\p{L})?`;
const number = String.raw`\d{1,5}\s?[a-zA-Z]?`;
/** How a street and a house number are written, by language (common practice). */
const written = [
  // 14 Quay Street, 3a Old Harbour Road
  String.raw`(?<![\d.,])${number}\s(?:${name}\s){1,3}(?:Street|St|Road|Rd|Lane|Ln|Avenue|Ave|Drive|Dr|Close|Court|Ct|Way|Terrace|Place|Pl|Crescent|Gardens|Grove|Row|Hill|Square|Mews|Boulevard|Blvd|Parkway|Park|Green|Walk|View|Rise|Meadows?|Fields?|Wharf|Quay|Mount|Vale|Chase|Grange|Glade|End|Lea|Circle|Trail|Pike|Turnpike|Path|Loop|Highway)(?![\p{L}])`,
  // Lange Straße 5, Hafenweg 12b, Am Deich 3
  String.raw`(?<![\p{L}])(?:${name}\s){0,2}[\p{L}-]*(?:[Ss]traße|[Ss]trasse|[Ss]tr\.|[Ww]eg|[Gg]asse|[Pp]latz|[Aa]llee|[Uu]fer|[Dd]amm|[Rr]ing|[Ss]tieg|Hof)\s${number}(?![\p{L}\d])`,
  String.raw`(?<![\p{L}])(?:Am|An der|Im|Zum|Zur|Auf dem)\s${name}\s${number}(?![\p{L}\d.])`,
  // 12 rue du Port, 3 bis, avenue des Pins
  String.raw`(?<![\d.,])\d{1,4}(?:\s(?:bis|ter))?,?\s(?:[Rr]ue|[Aa]venue|[Bb]oulevard|[Cc]hemin|[Ii]mpasse|[Pp]lace|[Aa]llée|[Qq]uai|[Rr]oute|[Pp]assage|[Vv]oie)\s(?:(?:de|du|des|la|le|les)\s|d['’]|l['’]){0,2}${name}`,
  // Calle Mayor 12, Avda. del Puerto, 3
  String.raw`(?<![\p{L}])(?:Calle|C\/|Avenida|Avda\.?|Plaza|Paseo|Camino|Carretera|Travesía|Ronda|Rambla|Vía|Glorieta|Callejón|Calleja|Cuesta|Bajada|Barrio|Barranco|Colonia|Jardines|Partida|Pasaje|Poblado|Polígono|Prolongación|Puerta|Sector|Urbanización|Chalet|Torrente)\s(?:(?:de|del|la|los|las|el)\s){0,2}${name}(?:\s${name}){0,3},?\s(?:n\.?\s?[º°]\s?)?\d{1,4}(?![\p{L}\d])`,
].map((one) => new RegExp(one, 'gu'));

/** Where somebody may live: a street with a number. @returns each as it stands there */
export const addressesIn = (text: string): string[] =>
  /\d/.test(text) ? written.flatMap((one) => text.match(one) ?? []).map((one) => one.trim()) : [];
