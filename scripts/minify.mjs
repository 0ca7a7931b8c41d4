/**
 * Makes what the browser loads small, each file as a whole: names then go by the file instead of by the module, which takes half the time of Metro's own
 * way and makes it smaller. Contract: the files of `dist` stay where they are, under their names, which stand for what is in them.
 */
import { transform } from 'esbuild';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { minify } from 'terser';

const directory = join('dist', '_expo', 'static', 'js', 'web');
for (const name of readdirSync(directory).filter((n) => n.endsWith('.js'))) {
  const file = join(directory, name);
  // what is shorter said otherwise is esbuild's part; names are terser's, whose choice packs better
  const { code } = await transform(readFileSync(file, 'utf8'), {
    minifySyntax: true,
    minifyWhitespace: true,
    target: 'es2020',
    // whose code it is, and under which licence, stays with it
    legalComments: 'inline',
  });
  const small = await minify(code, { compress: false, mangle: true, format: { comments: 'some' } });
  writeFileSync(file, small.code);
}
