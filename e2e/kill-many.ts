import { killMany } from './support/kills.ts';

/** `npm run kills -- 200 7`: pulls the plug that many times, with chances that follow from the second number. */
const [count = '120', seed = String(Date.now() % 1_000_000)] = process.argv.slice(2);
console.log(`${count} kills, chances from ${seed}`);
const result = await killMany(Number(count), Number(seed), (line) => console.log(line));
console.log(JSON.stringify({ ...result, faults: result.faults.length }));
for (const fault of result.faults) console.log(fault);
process.exit(result.faults.length === 0 ? 0 : 1);
