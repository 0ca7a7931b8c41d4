/**
 * A module of the web build as a tree. Contract: what Babel has something of its own to do in goes to it as ever; of all other modules types are taken out,
 * and what older browsers cannot read is said otherwise, in a small part of the time.
 */
const usual = require('@expo/metro-config/babel-transformer');
const { parse } = require('@babel/parser');
const { locToKey } = require('@expo/metro/metro/ModuleGraph/worker/importLocationsPlugin');
const { transform, version } = require('esbuild');

/** What Expo's preset looks for: the platform, the surroundings, tags, Flow, and directives. */
const BABELS =
  /react-native|\bexpo\b|process\.env|__DEV__|import\.meta|require\.context|@flow|@jsx|["']use (client|server|dom|memo)|(client|server)-only/;
const LOADERS = { ts: 'ts', js: 'js', mjs: 'js', cjs: 'js' };

/** Where the modules that this one imports are named: of those that come in two kinds Metro then takes the modern one. */
const imports = ({ program }) => new Set(program.body.filter((s) => s.source).map((s) => locToKey(s.loc)));

module.exports = {
  ...usual,
  getCacheKey: (options) => `${usual.getCacheKey?.(options) ?? ''} ${BABELS} esbuild ${version}`,
  transform: async (module) => {
    const loader = LOADERS[module.filename.split('.').at(-1)];
    if (!loader || module.options.type === 'script' || BABELS.test(module.src))
      return usual.transform(module);
    const { code } = await transform(module.src, { loader, target: 'es2020', legalComments: 'inline' });
    const ast = parse(code, { sourceType: 'unambiguous' });
    return { ast, metadata: { metro: { unstable_importDeclarationLocs: imports(ast) } } };
  },
};
