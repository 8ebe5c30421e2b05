// Specs that stand beside each other run in one file each few of them, with all they need in it: modules are read,
// translated and looked up once for all of them, which is half the work. Alone, as while one is written, each runs as
// it is, translated file by file by Jest.
import { build } from 'esbuild';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { basename, dirname, join, relative } from 'node:path';
import ts from 'typescript';
import { root } from './steps.mjs';

/** About as much text of specs goes into one file: enough to share, and few enough that both cores end together. */
const BYTES = 40000;
const core = join(root, 'packages/core/src');

/** Specs in bundles of neighbours. */
function bundles(specs) {
  const made = [];
  let size = Infinity;
  for (const spec of specs) {
    if (size >= BYTES) {
      made.push([]);
      size = 0;
    }
    made.at(-1).push(spec);
    size += statSync(spec).size;
  }
  return made;
}

/** What Angular reads from the source when it compiles in the browser: templates beside a class, signal inputs. */
function angular() {
  const preset = join(
    dirname(createRequire(join(root, 'apps/web/package.json')).resolve('jest-preset-angular/package.json')),
    'build/transformers',
  );
  const { replaceResources } = createRequire(import.meta.url)(join(preset, 'replace-resources.js'));
  const { angularJitApplicationTransform } = createRequire(import.meta.url)(join(preset, 'jit_transform.js'));
  const options = {
    target: ts.ScriptTarget.ES2022,
    module: ts.ModuleKind.ESNext,
    experimentalDecorators: true,
    useDefineForClassFields: false,
    isolatedModules: true,
    noLib: true,
    noResolve: true,
  };
  return (path, text) => {
    const source = ts.createSourceFile(path, text, options.target);
    let translated = '';
    const program = ts.createProgram([path], options, {
      ...ts.createCompilerHost(options),
      getSourceFile: (file) => (file === path ? source : undefined),
      writeFile: (_, code) => (translated = code),
    });
    program.emit(undefined, undefined, undefined, undefined, {
      before: [replaceResources(program), angularJitApplicationTransform(program)],
    });
    return translated;
  };
}

/** Finds and translates what esbuild would not by itself; the same as the settings of Jest say for single files. */
function ours(web) {
  const translate = angular();
  return {
    name: 'ours',
    setup(on) {
      on.onResolve({ filter: /^@lisse\/core$/ }, () => ({ path: join(core, 'index.ts') }));
      on.onResolve({ filter: /^@lisse\/core\/texts\// }, ({ path }) => ({
        path: join(core, path.slice('@lisse/core/'.length)),
      }));
      if (web)
        on.onResolve({ filter: /worker-factory$/ }, () => ({
          path: join(web, 'src/testing/worker-factory.ts'),
        }));
      on.onLoad({ filter: /\.ts$/ }, ({ path }) => {
        const text = readFileSync(path, 'utf8');
        if (/^@(Component|Directive|Injectable|Pipe)\(/m.test(text))
          return { contents: translate(path, text), loader: 'js' };
        // A spec that looks at files looks where it stands itself.
        if (text.includes('__dirname'))
          return { contents: `const __dirname = ${JSON.stringify(dirname(path))};\n${text}`, loader: 'ts' };
        return undefined;
      });
    },
  };
}

/** Writes the bundles of a package where its Jest looks for them when it is run with `TOGETHER=1`. */
async function writeTogether(folder) {
  const src = join(root, folder, 'src');
  const into = join(root, folder, 'test-results/together');
  rmSync(into, { recursive: true, force: true });
  mkdirSync(into, { recursive: true });
  const setup = join(src, 'testing/setup.ts');
  const web = existsSync(setup) ? join(root, folder) : undefined;
  const specs = readdirSync(src, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.spec.ts'))
    .sort()
    .map((file) => join(src, file));
  const entryPoints = bundles(specs).map((bundle, i) => {
    const lines = bundle.map(
      (file) => `describe('${relative(src, file)}', () => void require('${relative(into, file)}'));\n`,
    );
    if (web) lines.unshift(`require('${relative(into, setup)}');\n`);
    const file = join(into, `${String(i + 1).padStart(2, '0')}-${basename(bundle[0])}`);
    writeFileSync(file, lines.join(''));
    return file;
  });
  await build({
    entryPoints,
    outdir: into,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
    mainFields: ['es2015', 'module', 'main'],
    loader: { '.html': 'text', '.css': 'empty', '.woff': 'base64' },
    tsconfigRaw: { compilerOptions: { experimentalDecorators: true, useDefineForClassFields: false } },
    plugins: [ours(web)],
    // It brings its WebAssembly as a file beside it.
    external: ['highs'],
    logLevel: 'warning',
  });
}

for (const folder of ['packages/core', 'apps/web', 'apps/server', 'apps/cli']) await writeTogether(folder);
