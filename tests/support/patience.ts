/** A slow machine is no fault: a test is given up only when it hangs. */
jest.setTimeout(240_000);
