import type { BuildOptions } from 'esbuild'

/**
 * One JavaScript file of an entry, all that it imports from this project, and a few packages. It starts in half the time that hundreds of
 * TypeScript files take. It is made again only when one of them or the lock file has changed.
 * @param input
 *   root: the project's folder.
 *   name: its place in `dist/`, without an ending.
 *   isNamedByContent: its name has a digest of the code too, so that servers of different versions do not meet in one.
 *   Anything else goes to esbuild.
 * @returns the path of the file.
 * @throws what esbuild says of code that cannot be bundled.
 */
export function bundle(input: { root: string; name: string; isNamedByContent?: boolean } & BuildOptions): Promise<string>
