import { TestEnvironment } from 'jest-environment-jsdom';

/** A document for tests of what is on the screen, with what browsers have besides. */
export default class DocumentEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, { TextEncoder, TextDecoder });
  }
}
