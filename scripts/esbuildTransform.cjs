/** Sources as CommonJS for Jest, by the compiler that also builds server and command line. */
const { createHash } = require('node:crypto');
const path = require('node:path');
const { transformSync, version } = require('esbuild');

const OPTIONS = {
  format: 'cjs',
  target: 'node20',
  platform: 'node',
  sourcemap: 'inline',
  // What sources ask of `import.meta`, as CommonJS has it.
  define: { 'import.meta.url': '__importMetaUrl', 'import.meta.dirname': '__dirname' },
  tsconfigRaw: {
    compilerOptions: { experimentalDecorators: true, useDefineForClassFields: false },
  },
};
const IMPORT_META = "const __importMetaUrl = require('node:url').pathToFileURL(__filename).href;";

const LOADERS = { '.ts': 'ts', '.tsx': 'tsx', '.js': 'js', '.mjs': 'js', '.jsx': 'jsx' };

module.exports = {
  process(source, file) {
    return transformSync(source, {
      ...OPTIONS,
      loader: LOADERS[path.extname(file)],
      sourcefile: file,
      banner: source.includes('import.meta.url') ? IMPORT_META : '',
    });
  },
  getCacheKey: (source, file) =>
    createHash('sha256')
      .update(`${version} ${JSON.stringify(OPTIONS)} ${file}\n${source}`)
      .digest('hex'),
};
