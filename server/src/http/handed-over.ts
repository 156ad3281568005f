import { create } from 'content-disposition';

/** What tells a browser to keep a reply as a file, and what to call it: letters of any script. */
export const asFile = (name: string) => ['content-disposition', create(name)] as const;

/** The same for what a browser shows itself, and calls so where it is kept then. */
export const asPage = (name: string) => ['content-disposition', create(name, { type: 'inline' })] as const;
