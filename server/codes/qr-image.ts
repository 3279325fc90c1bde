import QRCode from 'qrcode';
import sharp from 'sharp';
import { type QrLevel, qrLevels, type QrPlan, qrPlan, quietZone } from '#core/codes/qr-plan.ts';

/** Dots an inch at which a PNG is made. */
const dotsPerInch = 600;

const modulesAt = (text: string, level: QrLevel): number =>
  QRCode.create(text, { errorCorrectionLevel: level }).modules.size;

/** How a text is best printed as a code of a size. @param mm its width with the margin */
export const planOf = (text: string, mm: number): QrPlan =>
  qrPlan(
    Object.fromEntries(qrLevels.map((level) => [level, modulesAt(text, level)])) as Record<QrLevel, number>,
    mm,
  );

/** A code as an SVG of exactly its printed size. */
export async function qrSvg(text: string, mm: number): Promise<string> {
  const { level } = planOf(text, mm);
  const svg = await QRCode.toString(text, { type: 'svg', errorCorrectionLevel: level, margin: quietZone });
  return svg.replace('<svg ', `<svg width="${mm}mm" height="${mm}mm" `);
}

/** A code as a PNG: each module a whole number of dots, as near to its printed size at 600 dots an inch as that goes. */
export async function qrPng(text: string, mm: number): Promise<Buffer> {
  const { level } = planOf(text, mm);
  const modules = modulesAt(text, level) + 2 * quietZone;
  const side = modules * Math.max(1, Math.round(((mm / 25.4) * dotsPerInch) / modules));
  const svg = await QRCode.toString(text, { type: 'svg', errorCorrectionLevel: level, margin: quietZone });
  return sharp(Buffer.from(svg.replace('<svg ', `<svg width="${side}" height="${side}" `)))
    .flatten({ background: '#fff' })
    .png()
    .toBuffer();
}
