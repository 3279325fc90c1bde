import sharp from 'sharp';
const [,, out, w, ...files] = process.argv;
const W = Number(w);
const cols = 2;
const imgs = await Promise.all(files.map(async f => { const b = await sharp(f).resize({ width: W }).png().toBuffer(); const m = await sharp(b).metadata(); return { b, h: m.height }; }));
const rows = []; for (let i = 0; i < imgs.length; i += cols) rows.push(imgs.slice(i, i + cols));
let top = 0; const comp = [];
for (const r of rows) { r.forEach((x, i) => comp.push({ input: x.b, left: i * (W + 8), top })); top += Math.max(...r.map(x => x.h)) + 8; }
await sharp({ create: { width: cols * (W + 8), height: top, channels: 3, background: '#333' } }).composite(comp).png().toFile(out);
