/**
 * A module of a screen's test. Contract: what is written in Flow, or has Jest put something in its place, goes through Babel as ever; of all other modules
 * types and tags are taken out, in a small part of the time.
 */
import babelJest from 'babel-jest';
import { transformSync, version } from 'esbuild';
import { createHash } from 'node:crypto';

const BABELS = /@flow|\bjest\.(un)?mock\(|import\.meta|require\.context|process\.env\.EXPO/;
const LOADERS = { ts: 'ts', tsx: 'tsx', js: 'jsx', jsx: 'jsx', mjs: 'js' };

export default {
  createTransformer: (babelOptions) => {
    const babel = (babelJest.default ?? babelJest).createTransformer(babelOptions);
    const plainly = (text, file) => {
      const loader = LOADERS[file.split('.').at(-1)];
      if (!loader || BABELS.test(text)) return null;
      try {
        return transformSync(text, {
          // under .mjs what a module exports by default would be the whole of it
          sourcefile: file.replace(/\.mjs$/, '.js'),
          loader,
          format: 'cjs',
          target: 'node20',
          jsx: 'automatic',
          sourcemap: 'external',
          sourcesContent: false,
          logLevel: 'silent',
        });
      } catch {
        // Flow that does not say so
        return null;
      }
    };
    return {
      canInstrument: false,
      process: (text, file, options) => plainly(text, file) ?? babel.process(text, file, options),
      getCacheKey: (text, file, options) =>
        BABELS.test(text)
          ? babel.getCacheKey(text, file, options)
          : createHash('sha1').update(`${version} ${BABELS} ${file} ${text}`).digest('hex'),
    };
  },
};
