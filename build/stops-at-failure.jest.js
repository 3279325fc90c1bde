import { TestEnvironment } from 'jest-environment-node';

/** Ends the whole run with the first test that fails: whoever only asks whether all pass need not wait for the rest. */
export default class extends TestEnvironment {
  handleTestEvent({ name }) {
    if (name === 'test_fn_failure' || name === 'hook_failure') process.exit(1);
  }
}
