const { TestEnvironment } = require('jest-environment-jsdom');

/** jsdom with the platform pieces that Node has and jsdom leaves out. */
module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, {
      structuredClone,
      TextEncoder,
      TextDecoder,
      fetch,
      Request,
      Response,
      Headers,
    });
  }
};
