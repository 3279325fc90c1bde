import { openDemoStudio } from './support/demo-studio.ts';
const demo = await openDemoStudio();
const { studio, rooms } = demo;
const page = studio.page;
await page.evaluateOnNewDocument('globalThis.__name = (f) => f');
for (const [w, h] of [[1280, 800], [390, 844]] as const) {
  await page.setViewport({ width: w, height: h });
  for (const room of ['projects', 'gather', 'arrange', 'share', 'look', 'check', 'about', 'plan', 'resume']) {
    await page.goto(`${rooms}/${room}`);
    await page.waitForSelector('[data-saved]', { timeout: 15000 }).catch(() => console.log('none', room));
    const before = await page.$$eval('[data-saved]', (all) => all.map((one) => [one.textContent, one.getBoundingClientRect().width, one.parentElement!.getBoundingClientRect().width].join(' ')));
    console.log(w, room, before.join(' | '));
    if (['projects', 'share'].includes(room)) await page.screenshot({ path: `/tmp/h-${room}-${w}.png`, clip: { x: 0, y: 0, width: w, height: 200 } });
  }
}
await demo.close();
