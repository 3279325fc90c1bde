/**
 * `npm run mutants`: changes core/access, core/parts and core/release in one place at a time, as a slip of the hand would, and runs the
 * tests of all three against each change. A change that no test notices is printed: either a test is missing, or the change
 * makes no difference (docs/mutants.md says which and why).
 */
import { spawn } from 'node:child_process';
import { cp, mkdir, mkdtemp, readdir, readFile, rm, symlink, writeFile } from 'node:fs/promises';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import ts from 'typescript';

const root = join(import.meta.dirname, '..');
const folders = ['core/access', 'core/parts', 'core/release'];

interface Mutant {
  file: string;
  line: number;
  was: string;
  now: string;
  text: string;
}

const swaps = new Map<ts.SyntaxKind, string[]>([
  [ts.SyntaxKind.EqualsEqualsEqualsToken, ['!==']],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, ['===']],
  [ts.SyntaxKind.AmpersandAmpersandToken, ['||']],
  [ts.SyntaxKind.BarBarToken, ['&&']],
  [ts.SyntaxKind.LessThanToken, ['<=', '>']],
  [ts.SyntaxKind.GreaterThanToken, ['>=', '<']],
  [ts.SyntaxKind.LessThanEqualsToken, ['<', '>=']],
  [ts.SyntaxKind.GreaterThanEqualsToken, ['>', '<=']],
  [ts.SyntaxKind.PlusToken, ['-']],
  [ts.SyntaxKind.MinusToken, ['+']],
]);
const methods = new Map(
  Object.entries({
    some: 'every',
    every: 'some',
    filter: 'slice',
    unshift: 'push',
    has: 'delete',
  }),
);
const heights = ['private', 'invited', 'unlisted', 'public'];

/** All changes of one file that are worth trying. */
function mutantsOf(file: string, source: string): Mutant[] {
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true);
  const mutants: Mutant[] = [];
  const put = (node: { getStart(): number; getEnd(): number }, now: string) => {
    const [from, to] = [node.getStart(), node.getEnd()];
    mutants.push({
      file,
      line: tree.getLineAndCharacterOfPosition(from).line + 1,
      was: source.slice(from, to).replace(/\s+/g, ' ').slice(0, 60),
      now: now.slice(0, 60),
      text: source.slice(0, from) + now + source.slice(to),
    });
  };
  const visit = (node: ts.Node): void => {
    // Types are for the compiler to check.
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)) return;
    if (ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node))
      for (const now of swaps.get(node.operatorToken.kind) ?? []) put(node.operatorToken, now);
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      put(node, node.operand.getText());
    if (ts.isConditionalExpression(node)) {
      put(node, node.whenTrue.getText());
      put(node, node.whenFalse.getText());
    }
    if (ts.isIfStatement(node)) {
      put(node.expression, 'true');
      put(node.expression, 'false');
    }
    if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, 'false');
    if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, 'true');
    if (ts.isStringLiteral(node) && heights.includes(node.text))
      put(node, `'${node.text === 'private' ? 'public' : 'private'}'`);
    if (ts.isPropertyAccessExpression(node) && ts.isCallExpression(node.parent)) {
      const other = methods.get(node.name.text);
      if (other !== undefined && node.parent.expression === node) {
        if (other === 'slice') put(node.parent, `${node.expression.getText()}.slice()`);
        else if (other === 'delete') put(node.parent, `!${node.parent.getText()}`);
        else put(node.name, other);
      }
    }
    if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) put(node, ';');
    ts.forEachChild(node, visit);
  };
  visit(tree);
  return mutants;
}

function run(folder: string): Promise<boolean> {
  return new Promise((resolve) => {
    const child = spawn(
      process.execPath,
      [
        ...['node_modules/jest/bin/jest.js', '--config', 'build/tests-in-one.config.js'],
        ...['--runInBand', '--silent'],
      ],
      {
        cwd: folder,
        stdio: 'ignore',
        env: {
          ...process.env,
          NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
          PROPERTY_RUNS: '60',
          TEST_FILES: tests.join(','),
          STOP_AT_FAILURE: 'yes',
        },
        timeout: 60_000,
      },
    );
    child.on('exit', (code) => resolve(code === 0));
  });
}

/** Names of files, to try only those; and `every=5`, to try only each fifth change. */
const only = process.argv.slice(2).filter((name) => !name.startsWith('every='));
const every = Number(process.argv.find((name) => name.startsWith('every='))?.slice(6) ?? 1);
const all: Mutant[] = [];
const tests: string[] = [];
for (const folder of folders)
  for (const name of (await readdir(join(root, folder))).sort()) {
    if (name.endsWith('.test.ts')) tests.push(join(folder, name));
    if (
      name.endsWith('.ts') &&
      !name.endsWith('.test.ts') &&
      !name.startsWith('arbitrary-') &&
      (only.length === 0 || only.includes(name))
    ) {
      const file = join(folder, name);
      all.push(...mutantsOf(file, await readFile(join(root, file), 'utf8')));
    }
  }
const mutants = all.filter((_, at) => at % every === 0);
console.log(`${mutants.length} of ${all.length} changes`);

const survivors: Mutant[] = [];
let [next, tried] = [0, 0];
await Promise.all(
  Array.from({ length: availableParallelism() }, async () => {
    const folder = await mkdtemp(join(tmpdir(), 'kite-wall-mutants-'));
    await cp(join(root, 'core'), join(folder, 'core'), { recursive: true });
    for (const name of ['package.json', 'tsconfig.json']) await cp(join(root, name), join(folder, name));
    await mkdir(join(folder, 'build'));
    for (const name of [
      'jest.config.js',
      'build/tests-in-one.config.js',
      'build/tests-in-one.jest.ts',
      'build/stops-at-failure.jest.js',
      'build/property-seed.jest.ts',
    ])
      await cp(join(root, name), join(folder, name));
    await symlink(join(root, 'node_modules'), join(folder, 'node_modules'));
    if (!(await run(folder))) throw new Error('The tests fail without any change.');
    for (let at = next++; at < mutants.length; at = next++) {
      const mutant = mutants[at];
      if (!mutant) break;
      const original = await readFile(join(root, mutant.file), 'utf8');
      await writeFile(join(folder, mutant.file), mutant.text);
      if (await run(folder)) {
        survivors.push(mutant);
        console.log(`survives: ${mutant.file}:${mutant.line}  ${mutant.was}  ->  ${mutant.now}`);
      }
      await writeFile(join(folder, mutant.file), original);
      if (++tried % 25 === 0) console.log(`${tried} tried, ${survivors.length} survive`);
    }
    await rm(folder, { recursive: true, force: true });
  }),
);
const killed = mutants.length - survivors.length;
console.log(`${killed} of ${mutants.length} killed: ${Math.round((1000 * killed) / mutants.length) / 10} %`);
process.exit(killed / mutants.length >= 0.9 ? 0 : 1);
