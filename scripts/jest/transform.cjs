/**
 * Sources as CommonJS for Jest, by TypeScript's own compiler, file by file. What a module exports stays a plain value in
 * it: faster transpilers make each import a getter, which costs more in the tests than they save.
 */
const { createHash } = require('node:crypto');
const ts = require('typescript');

const compilerOptions = {
  target: ts.ScriptTarget.ES2022,
  module: ts.ModuleKind.CommonJS,
  experimentalDecorators: true,
  useDefineForClassFields: false,
  esModuleInterop: true,
  jsx: ts.JsxEmit.ReactJSX,
  inlineSourceMap: true,
  inlineSources: true,
  allowJs: true,
};

/** What sources ask of `import.meta`, as CommonJS has it. */
const withoutImportMeta = (source) =>
  source
    .replaceAll('import.meta.url', "require('node:url').pathToFileURL(__filename).href")
    .replaceAll('import.meta.dirname', '__dirname');

module.exports = {
  process: (source, fileName) => ({
    code: ts.transpileModule(withoutImportMeta(source), { compilerOptions, fileName }).outputText,
  }),
  getCacheKey: (source, file) =>
    createHash('sha256')
      .update(`${ts.version} ${JSON.stringify(compilerOptions)} ${file}\n${source}`)
      .digest('hex'),
};
