/** Where the feed of new work stands, below the entrance. */
export const feedPath = 'feed.xml';

/** Where a résumé stands as a file, below its page. */
export const resumeFile = 'resume.pdf';

/** Where who the maker is stands as a vCard. */
export const contactCardPath = 'contact.vcf';

/** The page with the form that every page leads to. No page that a maker makes has a path like it: theirs have no underscores. */
export const writePath = '_write/';
