import { createContext, useContext, type CSSProperties } from 'react';

/** Custom properties of one element, for example `{ '--ar': 1.5 }`. */
export type Properties = Record<`--${string}`, string | number>;

/**
 * Where an element's own custom properties go. In the studio they are its style attribute; in a published page,
 * whose content security policy allows no style attributes, they become a rule of the page's style element.
 */
export interface Declarations {
  attach(properties: Properties): { className?: string; style?: CSSProperties };
}

const asAttributes: Declarations = { attach: (properties) => ({ style: properties as CSSProperties }) };

/** Collects the properties of a page as rules; equal sets share one class. Values come from numbers and colours only. */
export class CollectedDeclarations implements Declarations {
  readonly #classes = new Map<string, string>();

  attach(properties: Properties): { className: string } {
    const body = Object.entries(properties)
      .map(([name, value]) => `${name}:${value}`)
      .join(';');
    const known = this.#classes.get(body);
    if (known) return { className: known };
    const className = `k${this.#classes.size + 1}`;
    this.#classes.set(body, className);
    return { className };
  }

  css(): string {
    return [...this.#classes].map(([body, className]) => `.${className}{${body}}`).join('');
  }
}

export const DeclarationsContext = createContext<Declarations>(asAttributes);

/** The attributes that give an element its custom properties, joined with the class it has anyway. */
export function useProperties(): (
  properties: Properties,
  className?: string,
) => { className?: string; style?: CSSProperties } {
  const declarations = useContext(DeclarationsContext);
  return (properties, className) => {
    const attached = declarations.attach(properties);
    const classes = [className, attached.className].filter(Boolean).join(' ');
    return { ...attached, ...(classes ? { className: classes } : {}) };
  };
}
