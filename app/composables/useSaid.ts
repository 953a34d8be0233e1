/** What was just done, for ears: said outside the pages, since a page that is left takes its words with it. */
export const useSaid = () => useState('said', () => '')
