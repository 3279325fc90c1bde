import { and, eq } from 'drizzle-orm';
import type { LinkFacts } from '#core/materials/link.ts';
import type { Material } from '#core/materials/material.ts';
import { hostOf } from '#core/links/host-of.ts';
import { cut } from '#core/words/cut.ts';
import { shortened } from '#core/words/shortened.ts';
import type { Commands } from '../commands/commands.ts';
import { type EditResult, noEdit } from '../db/edit.ts';
import { materialOf } from '../db/rows/material-row.ts';
import { materials } from '../db/schema.ts';
import { notFound } from '../http/problem.ts';
import { takeRoom } from '../media/allowance.ts';
import type { BlobStore } from '../media/blob-store.ts';
import type { Imported } from '../media/import-material.ts';
import { newMaterial } from '../media/new-material.ts';
import { readLink, type LinkDeps } from './read-link.ts';

type Scope = { site: string; account: string };

/** An address as its own original: a list of one, as RFC 2483 (text/uri-list) writes it. */
const listOf = (url: string): Buffer => Buffer.from(`${url}\r\n`);

/** What a link takes: its address, and the picture that was fetched along with it. */
const bytesOf = async (blobs: BlobStore, url: string, { picture }: LinkFacts): Promise<number> =>
  listOf(url).byteLength + (picture ? (await blobs.sizeOf(picture.hash)).size : 0);

/**
 * Gathers a link: reads the page and keeps what it says. The same address is gathered once.
 *
 * @param by origin of the pages that would show it
 * @throws Problem 422 when the address lies where no reader could follow
 */
export async function addLink(
  deps: LinkDeps & { commands: Commands; limits: { maxTotalBytes: number } },
  scope: Scope,
  url: string,
  by: string,
): Promise<Imported> {
  const { db, blobs, commands } = deps;
  const original = await blobs.put(listOf(url));
  const there = async (): Promise<Imported | null> => {
    const [known] = await db
      .select({ id: materials.id })
      .from(materials)
      .where(
        and(
          eq(materials.accountId, scope.account),
          eq(materials.kind, 'link'),
          eq(materials.original, original),
        ),
      );
    return known ? { result: noEdit, material: known.id, duplicate: true } : null;
  };
  const before = await there();
  if (before) return before;
  const facts = await readLink(deps, scope.account, url, by);
  // Reading takes seconds, in which another tab may have gathered the same address.
  const meanwhile = await there();
  if (meanwhile) return meanwhile;
  const bytes = await bytesOf(blobs, url, facts);
  const material = newMaterial(
    {
      original,
      fileName: cut(url.replace(/^https?:\/\//, ''), 255),
      bytes,
      title: facts.title || hostOf(url) || '',
      caption: facts.description,
    },
    { kind: 'link', facts },
  );
  const label = shortened(`Add ${material.title || 'link'}`, 120);
  const result = await commands.run(scope, { label }, async (running) => {
    await takeRoom(running.tx, scope.account, bytes, deps.limits.maxTotalBytes);
    await running.insert('material', material);
  });
  return { result, material: material.id, duplicate: false };
}

/** What the page says now takes the place of what it said; words the maker wrote themselves stay. */
export async function readLinkAgain(
  deps: LinkDeps & { commands: Commands; limits: { maxTotalBytes: number } },
  scope: Scope,
  id: string,
  by: string,
): Promise<EditResult> {
  const [row] = await deps.db
    .select()
    .from(materials)
    .where(and(eq(materials.accountId, scope.account), eq(materials.id, id)));
  const link: Material | undefined = row && materialOf(row);
  if (link?.kind !== 'link') throw notFound('This link');
  const facts = await readLink(deps, scope.account, link.facts.url, by);
  const { title, caption } = link;
  // A page that does not answer now keeps what it said when it did.
  const kept =
    facts.state === 'read'
      ? facts
      : {
          ...link.facts,
          state: facts.state,
          framing: facts.framing,
          movedTo: facts.movedTo,
          readAt: facts.readAt,
        };
  return deps.commands.run(
    scope,
    { label: shortened(`Read ${title || 'link'} again`, 120) },
    async (running) => {
      await running.update('material', id, {
        facts: kept,
        bytes: await bytesOf(deps.blobs, link.facts.url, kept),
        ...(title === link.facts.title || title === hostOf(link.facts.url)
          ? { title: kept.title || title }
          : {}),
        ...(caption === link.facts.description ? { caption: kept.description } : {}),
      });
    },
  );
}
