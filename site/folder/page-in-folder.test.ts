import { describe, expect, test } from '@jest/globals';
import { pageInFolder } from './page-in-folder.ts';

const page = (body: string, lang = 'en') =>
  `<!doctype html><html lang="${lang}" dir="ltr"><body>${body}</body></html>`;
const linkIn = (href: string) =>
  / href="([^"]*)"/.exec(pageInFolder(page(`<a class="x" href="${href}">A</a>`), null))?.[1];

describe('a page in a folder', () => {
  test.each([
    // What a server looks for at a folder: index.html (common practice).
    ['../', '../index.html'],
    ['..', '../index.html'],
    ['./', './index.html'],
    ['second-year/tide-clock/', 'second-year/tide-clock/index.html'],
    ['../about/#skills', '../about/index.html#skills'],
    ['#main', '#main'],
    ['', ''],
    ['../files/a.jpg', '../files/a.jpg'],
    ['contact.vcf', 'contact.vcf'],
    ['https://tides.example/skerrin/', 'https://tides.example/skerrin/'],
    ['//tides.example/', '//tides.example/'],
    ['mailto:wren@maker.example', 'mailto:wren@maker.example'],
  ])('links to %s as %s', (href, expected) => expect(linkIn(href)).toBe(expected));

  test('takes no messages, says so in its language, and leads to where it does if that may be known', () => {
    const form = '<form class="write" id="write-1" method="post"><input name="place"/>\n</form>';
    const told = pageInFolder(page(`${form}<p>After</p>`, 'de'), 'https://wall.example/wren/about/');
    expect(told).not.toContain('<form');
    expect(told).toContain(
      'Diese Kopie nimmt keine Nachrichten an. <a href="https://wall.example/wren/about/">',
    );
    expect(told).toContain('<p>After</p>');
    expect(pageInFolder(page(form), null)).toContain('<p>This copy takes no messages.</p>');
  });

  test('is as it is in all else', () => {
    const other = page(
      '<link rel="stylesheet" href="../assets/a.css"/><img src="../files/a.jpg"/><p>href="x/"</p>',
    );
    expect(pageInFolder(other, null)).toBe(other);
  });
});
