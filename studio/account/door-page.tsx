import type { ReactNode } from 'react';
import { KiteMark } from '../ui/kite-mark.tsx';

/** A page with one thing to do on it, outside of any site. */
export const DoorPage = ({ title, children }: { title: string; children: ReactNode }) => (
  <main className="mx-auto grid min-h-full max-w-[34rem] content-center gap-5 p-6">
    <KiteMark dark />
    <h1>{title}</h1>
    {children}
  </main>
);
