const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
config.transformer.babelTransformerPath = require.resolve('./transformer.js');
const resolveAsUsual = config.resolver.resolveRequest;

/** What comes along with what we use, and nothing of ours draws or moves with: near a fifth of the modules. What moves things asks whether the first two are there. */
const LEFT_OUT = [
  { wanted: /^react-native-(reanimated|worklets)$/, by: /./ },
  {
    wanted: /^\.\/(PieChart|PieChartPro|PopulationPyramid|RadarChart|BubbleChart|CandleStickChart)(\/|$)/,
    by: /node_modules\/(react-native-gifted-charts|gifted-charts-core)\/dist\/index\.js$/,
  },
];

/**
 * Zod names its sentences in 60 languages from its index; we write our own, so only its English comes along
 * (280 kB less before the first word).
 */
config.resolver.resolveRequest = (context, name, platform) => {
  const resolve = resolveAsUsual ?? context.resolveRequest;
  const by = context.originModulePath.replaceAll('\\', '/');
  if (LEFT_OUT.some((l) => l.wanted.test(name) && l.by.test(by))) return { type: 'empty' };
  if (/locales\/index\.js$/.test(name) && /node_modules\/zod\/v4\//.test(by))
    return resolve(context, name.replace('index.js', 'en.js'), platform);
  return resolve(context, name, platform);
};

module.exports = config;
