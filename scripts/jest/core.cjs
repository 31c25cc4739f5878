/** Every door of the core, as tests get it: see `environment.cjs`. */
module.exports = globalThis.ostrinCore;
