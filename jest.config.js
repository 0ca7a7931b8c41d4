/** A project for each room, two for the app's; the server's run by itself, since PGlite needs --experimental-vm-modules (see scripts/test.mjs). */
// handed to each module: looked up in the sandbox they take several times as long as the sums they are for
const GLOBALS = [
  'Math',
  'Number',
  'Object',
  'Array',
  'Map',
  'Set',
  'JSON',
  'Float64Array',
  'Int32Array',
  'Uint8Array',
];
const node = (name) => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  testEnvironment: 'node',
  sandboxInjectedGlobals: GLOBALS,
  testMatch: ['<rootDir>/tests/**/*.test.ts'],
  transform: { '\\.[jt]sx?$': `${__dirname}/scripts/jestBundle.mjs` },
  transformIgnorePatterns: ['/node_modules/(?!(@fogata)/)'],
});
/** As Expo has it for a phone. */
const babelOptions = {
  configFile: `${__dirname}/app/babel.config.js`,
  caller: { name: 'metro', bundler: 'metro', platform: 'ios' },
};

module.exports = {
  // ends what hangs: how long anything takes is asked by the bench
  testTimeout: 900_000,
  projects: [
    node('core'),
    node('contract'),
    node('server'),
    // screens' figures, kept things and words need no screen
    node('app'),
    {
      displayName: 'screens',
      preset: 'jest-expo',
      transform: { '\\.([jt]sx?|mjs)$': [`${__dirname}/scripts/jestModule.mjs`, babelOptions] },
      rootDir: `${__dirname}/app`,
      testMatch: ['<rootDir>/tests/**/*.test.tsx'],
      transformIgnorePatterns: [
        '/node_modules/(?!((jest-)?react-native|@react-native(-community)?|expo|@expo|@expo-google-fonts|react-navigation|@react-navigation|react-native-svg|react-native-gifted-charts|gifted-charts-core|lucide-react-native|d3-.*|internmap|@fogata|comlink|date-fns|@date-fns))',
      ],
    },
  ],
};
