/** import.meta for tests that run as CommonJS: only what our own code asks of it. */
module.exports = ({ types: t, template }) => ({
  visitor: {
    MetaProperty(path) {
      if (path.node.meta.name !== 'import') return;
      path.replaceWith(
        template.expression
          .ast`({ url: require('url').pathToFileURL(__filename).href, dirname: __dirname })`,
      );
      void t;
    },
  },
});
