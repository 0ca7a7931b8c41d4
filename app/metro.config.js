const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
const resolveAsUsual = config.resolver.resolveRequest;

/**
 * Zod names its sentences in 60 languages from its index; we write our own, so only its English comes along
 * (280 kB less before the first word).
 */
config.resolver.resolveRequest = (context, name, platform) => {
  const resolve = resolveAsUsual ?? context.resolveRequest;
  if (/locales\/index\.js$/.test(name) && /node_modules\/zod\/v4\//.test(context.originModulePath))
    return resolve(context, name.replace('index.js', 'en.js'), platform);
  return resolve(context, name, platform);
};

module.exports = config;
