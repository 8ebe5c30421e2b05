import { transformSync } from 'esbuild';

/** TypeScript for Jest, file by file and unchecked: types are held by `npm run types`. */
export default {
  process(text, file) {
    const { code, map } = transformSync(text, {
      loader: file.endsWith('.ts') ? 'ts' : 'js',
      format: 'cjs',
      target: 'node20',
      sourcefile: file,
      sourcemap: true,
      tsconfigRaw: { compilerOptions: { experimentalDecorators: true, useDefineForClassFields: false } },
    });
    return { code, map };
  },
};
