import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { checkNode, chromiumPath, installPackages } from './packages.mjs';
import { build } from './build.mjs';
import { ROOT, run } from './processes.mjs';
import { orSayWhy, withOwnDatabase, withSampleServer } from './serve.mjs';

/** Measures what runs without a server, on one core. */
function measureCore() {
  const folder = mkdtempSync(join(tmpdir(), 'green-beam-bench-'));
  try {
    run('npx', ['vite', 'build', '--logLevel', 'warn', '--outDir', folder], {
      cwd: resolve(ROOT, 'scripts/benchmarks'),
    });
    for (const name of ['diagnoses', 'choices', 'calculations', 'laboratories', 'tables', 'plans'])
      run(process.execPath, [join(folder, `${name}.js`)]);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Prints how fast the work that matters is; the measurements themselves are in scripts/benchmarks/. */
async function bench() {
  checkNode();
  installPackages();
  build();
  measureCore();
  await withOwnDatabase('bench', async (url) => {
    const measure = (names, base) => {
      const env = { ...process.env, BASE_URL: base, DATABASE_URL: url, CHROMIUM: chromiumPath() };
      for (const name of names) run(process.execPath, ['--import', 'tsx', `scripts/benchmarks/${name}.ts`], { env });
    };
    await withSampleServer(url, (base) =>
      measure(
        ['attempts', 'school', 'class-of-runs', 'print', 'marking', 'notebook', 'frames', 'hover', 'together'],
        base,
      ),
    );
    for (const processes of [1, 2]) {
      console.log(`With ${processes} server process${processes === 1 ? '' : 'es'}:`);
      await withSampleServer(url, (base) => measure(['attempts'], base), { processes });
    }
    // A class of a million attempts comes last: it stays that large.
    await withSampleServer(url, (base) => measure(['stored'], base));
  });
}

orSayWhy(bench());
