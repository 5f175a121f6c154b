const { createTransformer } = require('@swc/jest').default ?? require('@swc/jest');

/*
 * Jest runs every test file in a context of its own, where looking up a global such as Math or Float64Array goes
 * through a hook and costs a hundred times what it does outside: computing code would be tested at a tenth of its speed.
 * Each module therefore takes the globals it computes with into constants of its own first.
 */
const GLOBALS = [
  'Array',
  'Boolean',
  'Float32Array',
  'Float64Array',
  'Infinity',
  'JSON',
  'Map',
  'Math',
  'NaN',
  'Number',
  'Object',
  'Set',
  'String',
  'Uint16Array',
  'Uint32Array',
  'Uint8Array',
];
const PROLOGUE = `const { ${GLOBALS.filter((name) => !['Infinity', 'NaN'].includes(name)).join(', ')} } = globalThis;`;

module.exports = {
  createTransformer(options) {
    const swc = createTransformer(options);
    return {
      ...swc,
      process(source, filename, jest) {
        const result = swc.process(source, filename, jest);
        // On the first line, so that line numbers in failures stay right.
        return { ...result, code: result.code.replace(/^("use strict";)?/, `$1 ${PROLOGUE} `) };
      },
    };
  },
};
