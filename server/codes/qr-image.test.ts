import { describe, expect, test } from '@jest/globals';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { planOf, qrPng, qrSvg } from './qr-image.ts';

/** Read back by jsqr, which has nothing in common with what draws them. */
const link = 'https://kitewall.example/p/Zk3vQy7Xw2Nn5TbR8sLm0A/';

async function pixelsOf(image: Buffer, width = 600) {
  const { data, info } = await sharp(image)
    .resize(width, width, { kernel: 'nearest' })
    .flatten({ background: '#fff' })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data: new Uint8ClampedArray(data), width: info.width, height: info.height };
}
const read = ({ data, width, height }: Awaited<ReturnType<typeof pixelsOf>>) =>
  jsQR(data, width, height)?.data;

describe('codes', () => {
  test.each([20, 30, 50, 80])('of %i mm are read by another decoder, as PNG and as SVG', async (mm) => {
    expect(read(await pixelsOf(await qrPng(link, mm)))).toBe(link);
    const svg = await qrSvg(link, mm);
    expect(svg).toContain(`width="${mm}mm"`);
    expect(read(await pixelsOf(Buffer.from(svg)))).toBe(link);
  });

  test.each(['right', 'bottom', 'left', 'top'])(
    'are read with a fifth of them lost at the %s, where there is room for the strongest correction',
    async (at) => {
      const { level, moduleMm } = planOf(link, 30);
      expect(level).toBe('H');
      const modules = Math.round(30 / moduleMm) - 8;
      const dots = 12;
      const { data, width, height } = await pixelsOf(await qrPng(link, 30), (modules + 8) * dots);
      // A strip between the corner marks, by which a code is found at all.
      const [long, broad] = [modules - 18, Math.ceil((0.2 * modules ** 2) / (modules - 18))];
      expect((long * broad) / modules ** 2).toBeGreaterThanOrEqual(0.2);
      const across = at === 'right' || at === 'bottom' ? modules - broad : 0;
      const [x0, y0] = at === 'left' || at === 'right' ? [across, 9] : [9, across];
      const [w, h] = at === 'left' || at === 'right' ? [broad, long] : [long, broad];
      for (let y = (y0 + 4) * dots; y < (y0 + h + 4) * dots; y++)
        for (let x = (x0 + 4) * dots; x < (x0 + w + 4) * dots; x++)
          data.fill(255, 4 * (y * width + x), 4 * (y * width + x) + 3);
      expect(read({ data, width, height })).toBe(link);
    },
  );

  test('have a light margin of four modules on each side', async () => {
    const { data, width } = await pixelsOf(await qrPng(link, 50), 800);
    const { moduleMm } = planOf(link, 50);
    const margin = Math.floor((moduleMm / 50) * 4 * width) - 2;
    for (let at = 0; at < width; at++)
      for (const [x, y] of [
        [at, margin],
        [margin, at],
        [at, width - 1 - margin],
        [width - 1 - margin, at],
      ] as const)
        expect(data[4 * (y * width + x)]).toBe(255);
  });

  test('of an address that is long are told to be too small', () => {
    expect(planOf(`${link}${'a-very-long-page-address/'.repeat(8)}`, 20).reads).toBe(false);
  });
});
