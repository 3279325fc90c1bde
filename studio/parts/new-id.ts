/** A new id for a part, or for a thing inside one: 48 random bits, enough among those of one page. */
export const newId = (): string => crypto.randomUUID().slice(0, 13);
