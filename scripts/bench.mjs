import { checkNode, chromiumPath, installPackages } from './packages.mjs';
import { build } from './build.mjs';
import { run } from './processes.mjs';
import { orSayWhy, withOwnDatabase, withSampleServer } from './serve.mjs';

/** Prints how fast the work that matters is; the measurements themselves are in scripts/benchmarks/. */
async function bench() {
  checkNode();
  installPackages();
  build();
  run(process.execPath, ['--import', 'tsx', 'scripts/benchmarks/diagnoses.ts']);
  run(process.execPath, ['--import', 'tsx', 'scripts/benchmarks/choices.ts']);
  run(process.execPath, ['--import', 'tsx', 'scripts/benchmarks/calculations.ts']);
  await withOwnDatabase('bench', async (url) => {
    const measure = (names, base) => {
      const env = { ...process.env, BASE_URL: base, DATABASE_URL: url, CHROMIUM: chromiumPath() };
      for (const name of names) run(process.execPath, ['--import', 'tsx', `scripts/benchmarks/${name}.ts`], { env });
    };
    await withSampleServer(url, (base) => measure(['attempts', 'school', 'print', 'frames'], base));
    for (const processes of [1, 2]) {
      console.log(`With ${processes} server process${processes === 1 ? '' : 'es'}:`);
      await withSampleServer(url, (base) => measure(['attempts'], base), { processes });
    }
  });
}

orSayWhy(bench());
