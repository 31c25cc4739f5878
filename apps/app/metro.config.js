const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);
// class-validator imports these whole for rules we do not use; the browser chokes on one of them.
const UNUSED = new Set(['libphonenumber-js', 'libphonenumber-js/max', 'validator']);
config.resolver.resolveRequest = (context, name, platform) =>
  UNUSED.has(name) ? { type: 'empty' } : context.resolveRequest(context, name, platform);

module.exports = withNativeWind(config, { input: './global.css', inlineRem: 16 });
