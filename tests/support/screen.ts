import "@testing-library/jest-dom";
import { configure } from "@testing-library/react";

/** ms to wait for what a page shows after a while; long, for a slow machine. */
configure({ asyncUtilTimeout: 20_000 });

/** What a browser has and the test page lacks. */
globalThis.ResizeObserver ??= class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};
