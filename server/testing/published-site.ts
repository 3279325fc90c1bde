import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { changePage, createPage } from '#contract/pages.ts';
import { startPublish } from '#contract/publishing.ts';
import { changeSite } from '#contract/sites.ts';
import type { Height } from '#core/access/height.ts';
import type { Page } from '#core/pages/page.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import type { Site } from '#core/sites/site.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import { newId } from '../db/new-id.ts';
import type { TestMaker, TestServer } from './test-server.ts';

const photoFile = join(import.meta.dirname, '../../demo/pictures/tide-clock/13-dial-too-small.jpg');

/** A part of words. */
export const wordsPart = (id: string, text: string): Part =>
  ({ ...newPart('words', id), text: fromParagraphs(text) }) as Part;

/** What a site that is opened for a test is made of. */
type Made = [
  server: TestServer,
  maker: TestMaker,
  site: string,
  address: string,
  clock: string,
  satchel: string,
  picture: string,
];

/** A published site with an address: a clock with two parts, a satchel, and a picture on neither. */
export class PublishedSite {
  constructor(
    readonly server: TestServer,
    readonly maker: TestMaker,
    readonly site: string,
    readonly address: string,
    readonly clock: string,
    readonly satchel: string,
    readonly picture: string,
  ) {}

  /** The file of its picture, as it was brought. */
  photo(): Promise<Buffer> {
    return readFile(photoFile);
  }

  static open(server: TestServer, maker: TestMaker, height: Height = 'public'): Promise<PublishedSite> {
    return PublishedSite.openAs(PublishedSite, server, maker, height);
  }

  /** @param As what makes of it something that can do more */
  static async openAs<S extends PublishedSite>(
    As: new (...made: Made) => S,
    server: TestServer,
    maker: TestMaker,
    height: Height,
  ): Promise<S> {
    const site = (await maker.site()).site.id;
    const address = `site-${newId()
      .toLowerCase()
      .replace(/[^a-z0-9]/g, 'x')}`;
    const photo = await readFile(photoFile);
    const { material } = await maker.upload(site, 'dial.jpg', photo);
    const make = async (title: string) =>
      (await maker.call(createPage, { params: { site }, body: { title, materials: [] } })).page;
    const live = new As(
      server,
      maker,
      site,
      address,
      await make('Tide clock'),
      await make('Satchel'),
      material,
    );
    await live.page(live.clock, {
      summary: 'One hand for the tide',
      parts: [wordsPart(`${live.clock}-open`, 'Open words'), wordsPart(`${live.clock}-other`, 'Other words')],
    });
    await live.page(live.satchel, {
      summary: 'From one sail',
      parts: [wordsPart(`${live.satchel}-sail`, 'Sail words')],
    });
    await live.change({ height, address });
    await live.publish();
    return live;
  }

  change(change: Partial<Site>) {
    return this.maker.call(changeSite, {
      params: { site: this.site },
      body: { seen: 0, label: `Site ${JSON.stringify(change)}`, change },
    });
  }

  async page(page: string, change: Partial<Page>) {
    const { revision } = await this.maker.state(this.site);
    return this.maker.call(changePage, {
      params: { site: this.site, page },
      body: { seen: revision, label: `Page ${Object.keys(change).join()}`, change },
    });
  }

  async partHeight(page: string, part: string, height: Height) {
    const parts = (await this.maker.project(this.site, page))?.parts ?? [];
    return this.page(page, { parts: parts.map((one) => (one.id === part ? { ...one, height } : one)) });
  }

  /** @param staying pages that are to stay as readers have them */
  async publish(staying: string[] = []) {
    const started = await this.maker.call(startPublish, {
      params: { site: this.site },
      body: { name: '', staying },
    });
    return this.maker.finished(this.site, started);
  }

  /** What a stranger gets at a path below the address: its text, or the status where it is not there. */
  async stranger(path = ''): Promise<string> {
    const reply = await this.server.get(`/${this.address}/${path}`);
    return reply.statusCode === 200 ? reply.body : String(reply.statusCode);
  }
}
