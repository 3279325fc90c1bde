import type { FileTree, ManifestFile } from '#core/release/manifest.ts';

/**
 * The page at a path below an entrance.
 *
 * @param path empty for the front page; else it ends in a slash
 * @returns null where none stands there
 */
export function pageAt(tree: FileTree, path: string): ManifestFile | null {
  const index = `${path}index.html`;
  return (path === '' || path.endsWith('/')) && Object.hasOwn(tree, index) ? (tree[index] ?? null) : null;
}
