const { createTransformer } = require('@swc/jest');

/*
 * Jest runs every test file in a context of its own, where looking up a global such as Math or Float64Array goes
 * through a hook: computing code was tested at a tenth to a half of the speed it runs at.
 * Each module therefore takes the globals it computes with into constants of its own first.
 */
const GLOBALS = [
  'Array',
  'Boolean',
  'Float32Array',
  'Float64Array',
  'JSON',
  'Map',
  'Math',
  'Number',
  'Object',
  'Set',
  'String',
  'Uint16Array',
  'Uint32Array',
  'Uint8Array',
];
const PROLOGUE = `const { ${GLOBALS.join(', ')} } = globalThis;`;

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
