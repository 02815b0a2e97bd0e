/** jsdom with what every browser has and jsdom has not. */
import { TestEnvironment } from 'jest-environment-jsdom';

export default class extends TestEnvironment {
  constructor(...options) {
    super(...options);
    Object.assign(this.global, { structuredClone, Response });
  }
}
