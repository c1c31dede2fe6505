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
  await withOwnDatabase('bench', (url) =>
    withSampleServer(url, (base) => {
      const env = { ...process.env, BASE_URL: base, DATABASE_URL: url, CHROMIUM: chromiumPath() };
      run(process.execPath, ['--import', 'tsx', 'scripts/benchmarks/attempts.ts'], { env });
      run(process.execPath, ['--import', 'tsx', 'scripts/benchmarks/print.ts'], { env });
      run(process.execPath, ['--import', 'tsx', 'scripts/benchmarks/frames.ts'], { env });
    }),
  );
}

orSayWhy(bench());
