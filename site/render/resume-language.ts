import { createContext } from 'react';

/** What the dates and headings of a résumé are written in, which may be another language than that of its page. */
export const ResumeLanguageContext = createContext('en');
