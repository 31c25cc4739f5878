const http = require('node:http');
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);
// class-validator imports these whole for rules we do not use; the browser chokes on one of them.
const UNUSED = new Set(['libphonenumber-js', 'libphonenumber-js/max', 'validator']);
config.resolver.resolveRequest = (context, name, platform) =>
  UNUSED.has(name) ? { type: 'empty' } : context.resolveRequest(context, name, platform);

// In development the page comes from Metro and its data from the server: `/api` is passed on.
const api = process.env.OSTRIN_API;
if (api) {
  config.server.enhanceMiddleware = (metro) => (req, res, next) => {
    if (!req.url.startsWith('/api')) return metro(req, res, next);
    const { hostname, port } = new URL(api);
    const { method, headers, url: path } = req;
    const passed = http.request({ hostname, port, method, headers, path }, (answer) => {
      res.writeHead(answer.statusCode ?? 502, answer.headers);
      answer.pipe(res);
    });
    passed.on('error', () => res.writeHead(502).end());
    return req.pipe(passed);
  };
}

module.exports = withNativeWind(config, { input: './global.css', inlineRem: 16 });
